import type { KindForm } from '../../kind-form';

export const note: KindForm<'note'> = {
  deed: 'Note',
  keep: 'Keep this note',
  kept: () => 'Note kept.',
  needsText: true,
  begin: () => ({}),
  finish: () => ({}),
};
