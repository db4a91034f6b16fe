import type { BroughtBack, KeptThing, Preference } from '@gentle-burrow/contract';

const NAMES: Record<KeptThing, string> = {
  queen: 'queens',
  entry: 'entries',
  photo: 'photos',
  place: 'places',
  home: 'first homes',
  probe: 'probes',
  readings: 'readings',
  'stock-item': 'things in stock',
  'stock-move': 'changes of stock',
  'own-kind': 'profiles of your own',
  settings: 'settings',
};

/** What `npm run restore` prints. */
export function told(file: string, found: BroughtBack, prefer: Preference): string {
  const { taken, counts, contradictions, refused, refusedCount, warnings } = found;
  const otherwise =
    prefer === 'file'
      ? 'told otherwise (the file holds where it may)'
      : 'told otherwise (what is here stays)';
  return [
    taken ? 'Taken:' : `${file}${found.madeAt ? `, made ${found.madeAt}` : ''}:`,
    ...warnings,
    ...counts.map(
      ({ what, fresh, same, contradictory }) =>
        `  ${NAMES[what]}: ${fresh} new, ${same} the same, ${contradictory} ${otherwise}`,
    ),
    ...(taken
      ? []
      : contradictions.map(
          (c) => `  ${[c.what, c.name].join(' ').trim()}: otherwise in ${c.about.join(', ')}`,
        )),
    ...refused.map(({ where, reason }) => `  ${where}: ${reason}`),
    ...(refusedCount > refused.length
      ? [`  and ${refusedCount - refused.length} more that cannot be taken`]
      : []),
  ].join('\n');
}
