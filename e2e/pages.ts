/** Addresses of all pages of the demo but those of one queen and one place. */
export const PAGES = [
  '/',
  '/shelf',
  '/feed',
  '/bench',
  '/bench/tube',
  '/bench/fit',
  '/stock',
  '/places',
  '/labels',
  '/records',
  '/kinds',
  '/kinds/camponotus-vagus',
  '/kinds/camponotus-vagus/own',
  '/glossary',
  '/cohort',
  '/settings',
  '/backup',
  '/sheets',
  '/round',
  '/queens/new',
];

/** What is looked at of one queen. */
export const VIEWS = ['', '/ahead', '/why', '/log', '/look', '/watch'];
