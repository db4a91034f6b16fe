/** The species of the demo, and of what is made up for tests and benches. */
export const DEMO_KINDS = [
  'crematogaster-scutellaris',
  'tetramorium-immigrans',
  'camponotus-vagus',
  'manica-rubida',
  'prenolepis-imparis',
  'aphaenogaster-subterranea',
  'messor-structor',
  'temnothorax-nylanderi',
] as const;
