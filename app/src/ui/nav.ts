import { NAMES } from '@/words/names';
/** The few places that are always reachable: a bar at the thumb on a phone, a rail on a wide screen. */
export const NAV = [
  { to: '/', icon: 'white-balance-sunny', title: NAMES.today },
  { to: '/shelf', icon: 'test-tube', title: NAMES.shelf },
  { to: '/bench', icon: 'tools', title: NAMES.bench },
  { to: '/places', icon: 'thermometer', title: NAMES.places },
  { to: '/records', icon: 'notebook-outline', title: NAMES.records },
] as const;

type NavPlace = (typeof NAV)[number]['to'];

/** Which of them a page belongs to, by the first part of its address. */
const PART_OF: Record<string, NavPlace> = {
  '': '/',
  round: '/',
  feed: '/',
  visits: '/',
  shelf: '/shelf',
  queens: '/shelf',
  bench: '/bench',
  workbench: '/bench',
  stock: '/bench',
  labels: '/bench',
  scan: '/bench',
  places: '/places',
  records: '/records',
  kinds: '/records',
  cohort: '/records',
  backup: '/records',
  sheets: '/records',
  settings: '/records',
  glossary: '/records',
};

export const placeOf = (path: string): NavPlace | null => PART_OF[path.split('/')[1] ?? ''] ?? null;
