/**
 * The kinds that are kept most. Their best warmth was looked into: no published band could be vouched for, so each is the project's own
 * prior, whatever keepers say. A band that is found in print is cited in its place.
 */
export const COMMONEST: readonly string[] = [
  'lasius-niger',
  'lasius-flavus',
  'lasius-emarginatus',
  'camponotus-ligniperda',
  'camponotus-vagus',
  'camponotus-herculeanus',
  'camponotus-pennsylvanicus',
  'camponotus-nicobarensis',
  'formica-fusca',
  'myrmica-rubra',
  'manica-rubida',
  'messor-barbarus',
  'messor-structor',
  'tetramorium-immigrans',
  'tetramorium-caespitum',
  'temnothorax-nylanderi',
  'crematogaster-scutellaris',
  'pheidole-pallidula',
  'prenolepis-imparis',
  'aphaenogaster-subterranea',
];

export const WARMTH_PRIOR = 'as keepers keep her; no published band of hers could be vouched for';
