import { lazyPage } from '@/ui/lazy-page';
import { PAGES } from '@/ui/pages';

export default lazyPage(PAGES.sheets);
