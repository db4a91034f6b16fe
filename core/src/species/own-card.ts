import type { KindCard } from './card';
import { CAUTION_OF } from './cautions';
import { headsOf } from './head';
import type { OwnKind } from './own-kind';

type Seen =
  'queenLengthMm' | 'workerLengthMm' | 'pupae' | 'flightMonths' | 'diet' | 'colours' | 'waist' | 'temper';

/** What a list or a drawing needs of an own profile: the card of what was copied, with what it says itself. */
export function ownCard(copied: KindCard, own: OwnKind): KindCard {
  const { figures } = own;
  const taken = <K extends Seen>(id: K) => {
    const figure = figures[id];
    return (figure ? { value: figure.value } : copied[id]) as KindCard[K];
  };
  const { founder, defence } = figures;
  const caution = defence ? CAUTION_OF[defence.value] : null;
  const workers = figures.workerLengthMm;
  return {
    ...copied,
    id: own.id,
    name: own.name,
    otherNames: [copied.name, ...copied.otherNames],
    copiedOf: copied.id,
    retired: own.retired ?? false,
    cautions: [...new Set([...(caution ? [caution] : []), ...copied.cautions])],
    differs: founder ? null : copied.differs,
    founder: founder
      ? { value: founder.value, source: { kind: 'keeper', says: founder.says } }
      : copied.founder,
    queenLengthMm: taken('queenLengthMm'),
    workerLengthMm: taken('workerLengthMm'),
    workerHeadMm: figures.workerHeadMm
      ? { value: figures.workerHeadMm.value }
      : workers
        ? { value: headsOf(workers.value) }
        : copied.workerHeadMm,
    pupae: taken('pupae'),
    flightMonths: taken('flightMonths'),
    diet: taken('diet'),
    colours: taken('colours'),
    waist: taken('waist'),
    temper: taken('temper'),
  };
}
