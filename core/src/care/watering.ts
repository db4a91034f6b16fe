import { daysBetween, phrase, type Instant } from '../quantity';
import type { QueenLedger } from '../founding';
import type { Reservoir } from '../tube';
import { criterion, PRACTICE, type Criterion, type Verdict } from './verdict';
import type { LookReason } from './looking';

/** A move into a fresh tube may take weeks, so it is begun this many days before the water may be gone. Prior. */
const PREPARE_DAYS = 21;
const SOON_DAYS = 42;

/** Does her tube hold? Water for how long, and the faults seen in the plug. */
export function tubeHolds(known: QueenLedger, water: Reservoir, now: Instant): Verdict {
  const dry = water.dryAt.p10;
  const daysLeft = dry === null ? null : daysBetween(now, dry);
  const faults = plugFaults(known);
  const worst = faults.find((f) => f.state === 'unmet');
  const range =
    water.dryAt.p10 && water.dryAt.p90
      ? phrase`Water until between ${{ date: water.dryAt.p10 }} and ${{ date: water.dryAt.p90 }}.`
      : ['Water for years at this warmth and humidity.'];
  const supply = criterion(
    'supply',
    daysLeft === null || daysLeft > PREPARE_DAYS ? 'met' : 'unmet',
    range,
    water.readings > 1
      ? `Stefan's diffusion tube, corrected by ${water.readings} readings of her water line`
      : "Stefan's diffusion tube; the next water line read will correct it",
    { margin: daysLeft === null ? null : { value: daysLeft - PREPARE_DAYS, unit: 'days' } },
  );
  const common = { id: 'water', question: 'Does her tube hold?', school: null, others: [] } as const;
  const criteria = [supply, ...faults];
  if (worst) {
    return { ...common, criteria, answer: 'no', says: worst.says, pressure: 'now', until: null };
  }
  if (daysLeft !== null && daysLeft <= PREPARE_DAYS) {
    return {
      ...common,
      criteria,
      answer: 'not for long',
      says: [...range, ' Prepare a fresh tube now and offer it: the move itself may take weeks.'],
      pressure: 'now',
      until: null,
    };
  }
  if (daysLeft !== null && daysLeft <= SOON_DAYS) {
    return {
      ...common,
      criteria,
      answer: 'for some weeks',
      says: [...range, ' Have a fresh tube ready.'],
      pressure: 'soon',
      until: null,
    };
  }
  return {
    ...common,
    criteria,
    answer: 'yes',
    says: range,
    pressure: 'rest',
    until: dry,
  };
}

const FRONTS = {
  dry: 'The inner plug has gone dry: she has no water. Offer a fresh tube now.',
  soaked: 'The inner plug is soaked through: she may drown. Offer a dry, fresh tube.',
  leaking:
    'Water leaks past the plug: she may drown. Offer a fresh tube now, and keep heat away from the water end.',
} as const;

function plugFaults(known: QueenLedger): Criterion[] {
  const list: Criterion[] = [];
  const front = known.wetFront;
  if (front && front.value in FRONTS) {
    list.push(
      criterion('plug', 'unmet', [FRONTS[front.value as keyof typeof FRONTS]], PRACTICE, {
        evidence: [front.entryId],
      }),
    );
  } else if (front) {
    list.push(
      criterion(
        'plug',
        'met',
        front.value === 'right'
          ? ['The wet front stops short of the chamber, as it should.']
          : ['The wet front stands at the face of the plug: read it again at the next look.'],
        PRACTICE,
        { evidence: [front.entryId] },
      ),
    );
  } else {
    list.push(
      criterion('plug', 'unknown', ['No look has noted how far the plug is wet.'], PRACTICE, {
        settles: 'Note the wet front at the next look.',
      }),
    );
  }
  const mould = known.mould;
  if (mould && mould.value !== 'none') {
    const near = mould.value === 'near-brood';
    list.push(
      criterion(
        'mould',
        near ? 'unmet' : 'met',
        near
          ? ['Mould grows toward the brood. Offer a fresh tube beside the old one, dark; do not force her.']
          : ['A speck of mould on the far plug is watched, not acted on.'],
        PRACTICE,
        { evidence: [mould.entryId] },
      ),
    );
  }
  return list;
}

/** What in the tube would justify a look against the school. */
export function reasonToLook(holds: Verdict): LookReason | null {
  if (holds.pressure !== 'now') return null;
  const entryId = holds.criteria.find((c) => c.state === 'unmet')?.evidence[0] ?? null;
  return { says: 'Her tube needs care.', entryId };
}
