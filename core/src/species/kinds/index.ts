import type { KindRecord } from '../figures';
import { CARPENTER_ANTS } from './carpenter-ants';
import { DOLICHODERINAE } from './dolichoderinae';
import { OTHER_FORMICINAE } from './formicinae';
import { FUNGUS_GROWERS } from './fungus-growers';
import { GARDEN_ANTS } from './garden-ants';
import { HARVESTERS } from './harvesters';
import { HUNTERS } from './hunters';
import { TWO_NODED_HUNTERS } from './looks';
import { recordsOf } from './sketch';
import { TYPES } from './types';
import { WARM_MYRMICINES } from './warm-myrmicines';
import { WOODLAND_MYRMICINES } from './woodland-myrmicines';

/** Every kind that ships: types, genera and their species. */
export const KINDS: readonly KindRecord[] = [
  ...TYPES,
  ...[...CARPENTER_ANTS, ...GARDEN_ANTS, ...OTHER_FORMICINAE].flatMap(recordsOf('one node')),
  ...[...HARVESTERS, ...WOODLAND_MYRMICINES, ...WARM_MYRMICINES, ...FUNGUS_GROWERS].flatMap(
    recordsOf('two nodes'),
  ),
  ...DOLICHODERINAE.flatMap(recordsOf('one node')),
  ...HUNTERS.flatMap((g) => recordsOf(TWO_NODED_HUNTERS.has(g.name) ? 'two nodes' : 'one node')(g)),
];
