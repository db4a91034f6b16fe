/** All that the first page does not need. It shares the core, so it comes together: apart, what it shares would come before the first screen. */
export { QueenPage } from '@/features/queen/QueenPage';
export { WatchPage } from '@/features/watch/WatchPage';
export { LookPage } from '@/features/look/LookPage';
export { NewQueenPage } from '@/features/intake/NewQueenPage';
export { FeedPage } from '@/features/feed/FeedPage';
export { DeedSheet } from '@/features/log/DeedSheet';
export { CohortPage } from '@/features/cohort/CohortPage';
export { RoundPage } from '@/features/round/RoundPage';
export { Plan } from '@/features/today/Plan';
export { BenchPage } from '@/features/bench/BenchPage';
export { FillPage } from '@/features/fill/FillPage';
export { StockPage } from '@/features/stock/StockPage';
export { PlacesPage } from '@/features/place/PlacesPage';
export { LabelsPage } from '@/features/labels/LabelsPage';
export { ScanPage } from '@/features/labels/ScanPage';
export { RecordsPage } from '@/features/records/RecordsPage';
export { SettingsPage } from '@/features/settings/SettingsPage';
