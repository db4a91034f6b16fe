import type { KindRecord } from '../figures';
import { CARPENTER_ANTS } from './carpenter-ants';
import { DOLICHODERINAE } from './dolichoderinae';
import { OTHER_FORMICINAE } from './formicinae';
import { FUNGUS_GROWERS } from './fungus-growers';
import { GARDEN_ANTS } from './garden-ants';
import { HARVESTERS } from './harvesters';
import { HUNTERS } from './hunters';
import { recordsOf } from './sketch';
import { TYPES } from './types';
import { WARM_MYRMICINES } from './warm-myrmicines';
import { WOODLAND_MYRMICINES } from './woodland-myrmicines';

/** Every kind that ships: types, genera and their species. */
export const KINDS: readonly KindRecord[] = [
  ...TYPES,
  ...[
    ...CARPENTER_ANTS,
    ...GARDEN_ANTS,
    ...OTHER_FORMICINAE,
    ...HARVESTERS,
    ...WOODLAND_MYRMICINES,
    ...WARM_MYRMICINES,
    ...FUNGUS_GROWERS,
    ...DOLICHODERINAE,
    ...HUNTERS,
  ].flatMap(recordsOf),
];
