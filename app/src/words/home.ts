import type {
  BroodThere,
  Cover,
  Gate,
  Joint,
  Material,
  Moisture,
  MovedHow,
  TakenTo,
  Tallied,
  WaterSource,
  Purpose,
  WorkersThere,
} from '@gentle-burrow/core/vocabulary';

/** What the closed lists of a home that changes are called on the screen. */

export const JOINT_WORDS: Record<Joint, string> = {
  beside: 'only beside it',
  'lies-in': 'lying open in it',
  taped: 'taped mouth to mouth',
  sleeve: 'by a sleeve',
  'push-fit': 'pushed one into the other',
  thread: 'with thread wound round',
  'vented-joint': 'by a vented joint',
  pipe: 'by a pipe',
  adapter: 'by an adapter',
};

export const PURPOSE_WORDS: Record<Purpose, string> = {
  move: 'to move into',
  room: 'as more room',
  water: 'to drink at',
};

export const COVER_WORDS: Record<Cover, string> = { dark: 'covered dark', lit: 'lit by daylight' };

export const BROOD_THERE_WORDS: Record<BroodThere, string> = {
  none: 'no brood',
  some: 'some of her brood',
  all: 'all her brood',
};

export const WORKERS_THERE_WORDS: Record<WorkersThere, string> = {
  none: 'no workers',
  scouts: 'a few scouts',
  some: 'some workers',
  most: 'most workers',
  all: 'all workers',
};

export const MOVED_HOW_WORDS: Record<MovedHow, string> = {
  'by-themselves': 'by themselves',
  'plug-swap': 'plugs swapped',
  'by-hand': 'brought over by hand',
  'tipped-out': 'tipped out',
};

const counted = (one: string, many: string) => (n: number) => (n === 1 ? one : many);
export const TALLIED_WORDS: Record<Tallied, (n: number) => string> = {
  workers: counted('worker', 'workers'),
  eggs: counted('egg', 'eggs'),
  larvae: counted('larva', 'larvae'),
  pupae: counted('pupa', 'pupae'),
  repletes: counted('replete', 'repletes'),
  queens: counted('queen', 'queens'),
};

export const TAKEN_TO_WORDS: Record<TakenTo, string> = {
  cleaned: 'cleaned',
  'kept-aside': 'kept aside',
  'thrown-away': 'thrown away',
};

export const GATE_WORDS: Record<Gate, string> = {
  open: 'open',
  narrowed: 'narrowed',
  plugged: 'plugged',
  shut: 'shut',
};

export const MOISTURE_WORDS: Record<Moisture, string> = {
  dry: 'dry already',
  right: 'just right',
  'still-wet': 'still wet',
};

export const MATERIAL_WORDS: Record<Material, string> = {
  glass: 'glass',
  plastic: 'clear plastic',
  plaster: 'plaster',
  'aerated-concrete': 'aerated concrete',
  wood: 'wood',
  earth: 'earth',
};

export const WATER_WORDS: Record<WaterSource, string> = {
  none: 'no water of its own',
  cotton: 'wet cotton',
  stone: 'wet stone',
  sponge: 'a sponge',
  tower: 'a water tower',
  'plugged-tube': 'a tube closed with cotton',
};
