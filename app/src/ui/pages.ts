const pages = () => import('@/features/pages');

/** The pages whose code is fetched when one is first needed, or ahead of it while the shelf is being read. */
export const PAGES = {
  example: () => pages().then((m) => m.ExampleServer),
  shelf: () => pages().then((m) => m.ShelfPage),
  keys: () => pages().then((m) => m.KeyHelp),
  queen: () => pages().then((m) => m.QueenPage),
  watch: () => pages().then((m) => m.WatchPage),
  look: () => pages().then((m) => m.LookPage),
  intake: () => pages().then((m) => m.NewQueenPage),
  transfer: () => pages().then((m) => m.TransferPage),
  feed: () => pages().then((m) => m.FeedPage),
  deeds: () => pages().then((m) => m.DeedSheet),
  cohort: () => pages().then((m) => m.CohortPage),
  round: () => pages().then((m) => m.RoundPage),
  plan: () => pages().then((m) => m.Plan),
  bench: () => pages().then((m) => m.BenchPage),
  fill: () => pages().then((m) => m.FillPage),
  fit: () => pages().then((m) => m.FitPage),
  stock: () => pages().then((m) => m.StockPage),
  place: () => pages().then((m) => m.PlacePage),
  places: () => pages().then((m) => m.PlacesPage),
  labels: () => pages().then((m) => m.LabelsPage),
  scan: () => pages().then((m) => m.ScanPage),
  glossary: () => pages().then((m) => m.GlossaryPage),
  kinds: () => pages().then((m) => m.KindsPage),
  kind: () => pages().then((m) => m.KindPage),
  ownKind: () => pages().then((m) => m.OwnKindPage),
  records: () => pages().then((m) => m.RecordsPage),
  sheets: () => pages().then((m) => m.SheetsPage),
  backup: () => pages().then((m) => m.BackupPage),
  settings: () => pages().then((m) => m.SettingsPage),
};

/** So that they open without a connection too. What does not come now is fetched again when a page is opened. */
export function fetchPagesAhead(): void {
  void pages().catch(() => {});
}
