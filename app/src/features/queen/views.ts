/** The views of a colony's page: each answers one question. */
export const VIEWS = {
  now: { title: 'Now', path: '', question: (name: string) => `How is ${name} doing?` },
  ahead: { title: 'Ahead', path: '/ahead', question: (name: string) => `What comes next for ${name}?` },
  why: { title: 'Why', path: '/why', question: (name: string) => `Why is ${name} advised so?` },
  log: { title: 'Log', path: '/log', question: (name: string) => `What was written of ${name}?` },
} as const;
export type ViewName = keyof typeof VIEWS;
export const VIEW_NAMES = Object.keys(VIEWS) as ViewName[];
