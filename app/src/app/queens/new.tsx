export { NewQueenPage as default } from '@/features/intake/NewQueenPage';
