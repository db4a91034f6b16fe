/** All pages but the shelf. They share the core, so they come together: apart, what they share would come before the first screen. */
export { QueenPage } from '@/features/queen/QueenPage';
export { WatchPage } from '@/features/watch/WatchPage';
export { LookPage } from '@/features/look/LookPage';
export { NewQueenPage } from '@/features/intake/NewQueenPage';
export { CohortPage } from '@/features/cohort/CohortPage';
export { RoundPage } from '@/features/round/RoundPage';
export { VisitsPage } from '@/features/visits/VisitsPage';
export { WorkbenchPage } from '@/features/workbench/WorkbenchPage';
export { BenchPage } from '@/features/bench/BenchPage';
export { StockPage } from '@/features/stock/StockPage';
export { PlacesPage } from '@/features/place/PlacesPage';
export { LabelsPage } from '@/features/labels/LabelsPage';
export { ScanPage } from '@/features/labels/ScanPage';
export { SettingsPage } from '@/features/settings/SettingsPage';
