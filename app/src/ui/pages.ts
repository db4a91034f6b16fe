/** The pages whose code is fetched when first needed, or ahead of it while the shelf is being read. */
export const PAGES = {
  queen: () => import('@/features/queen/QueenPage').then((m) => m.QueenPage),
  watch: () => import('@/features/watch/WatchPage').then((m) => m.WatchPage),
  look: () => import('@/features/look/LookPage').then((m) => m.LookPage),
  intake: () => import('@/features/intake/NewQueenPage').then((m) => m.NewQueenPage),
  cohort: () => import('@/features/cohort/CohortPage').then((m) => m.CohortPage),
  round: () => import('@/features/round/RoundPage').then((m) => m.RoundPage),
  visits: () => import('@/features/visits/VisitsPage').then((m) => m.VisitsPage),
  workbench: () => import('@/features/workbench/WorkbenchPage').then((m) => m.WorkbenchPage),
  bench: () => import('@/features/bench/BenchPage').then((m) => m.BenchPage),
  stock: () => import('@/features/stock/StockPage').then((m) => m.StockPage),
  places: () => import('@/features/place/PlacesPage').then((m) => m.PlacesPage),
  labels: () => import('@/features/labels/LabelsPage').then((m) => m.LabelsPage),
  scan: () => import('@/features/labels/ScanPage').then((m) => m.ScanPage),
  settings: () => import('@/features/settings/SettingsPage').then((m) => m.SettingsPage),
};

/** So that they open without a connection too. A page that does not come now is fetched again when it is opened. */
export function fetchPagesAhead(): void {
  for (const load of Object.values(PAGES)) void load().catch(() => {});
}
