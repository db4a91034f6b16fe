import { daysBetween, phrase, type Instant, type Phrase } from '../quantity';
import { warmthPerDay, type Outlook, type QueenLedger } from '../founding';
import type { SpeciesProfile } from '../species';
import { criterion, OWN_PRIOR, PRACTICE, type Criterion, type Verdict } from './verdict';

/** Of queens like her, fewer than this share would still be without: late, or slow. Priors. */
const LATE_SHARE = 0.05;
const SLOW_SHARE = 0.2;
/** More looks than one in this many days are counted against the keeper. Practice. */
const LOOK_EVERY_DAYS = 7;

const WORDS = {
  eggs: 'eggs',
  larvae: 'larvae',
  pupae: 'pupae',
  workers: 'workers',
  firstBatchEnd: 'the whole first batch',
};

const GONE_WORDS = {
  eggs: 'eggs were eaten or lost',
  brood: 'of her brood were eaten or lost',
  workers: 'workers are missing: dead and not found, or miscounted,',
} as const;

/** Is she late? Her next stage against what queens of her kind do at her warmth. */
export function isLate(
  profile: SpeciesProfile,
  known: QueenLedger,
  ahead: Outlook,
  tempC: number,
  now: Instant,
): Verdict {
  const criteria = [
    pace(ahead, known),
    warmth(profile, tempC),
    calm(known, now),
    ...(profile.founder.value === 'semi-claustral' ? [fed(known, now)] : []),
    // all gone is told below; a part that vanished is told here
    ...known.vanished
      .slice(-1)
      .flatMap((v) =>
        known.broodLost.some((lost) => lost.entryId === v.entryIds[1])
          ? []
          : [
              criterion(
                'brood-part',
                'unmet',
                phrase`${{ word: v.low === v.high ? String(v.low) : `Between ${v.low} and ${v.high}` }} ${{ word: GONE_WORDS[v.what] }} between ${{ date: v.interval.after ?? now }} and ${{ date: v.interval.by ?? now }}.`,
                'counts of two looks compared',
                { evidence: v.entryIds },
              ),
            ],
      ),
    ...known.broodLost
      .slice(-1)
      .map((lost) =>
        criterion(
          'brood-kept',
          'unmet',
          lost.interval.after
            ? phrase`Brood vanished between ${{ date: lost.interval.after }} and ${{ date: lost.interval.by ?? now }}: eaten under stress or hunger, or it died.`
            : ['Brood vanished: eaten under stress or hunger, or it died.'],
          PRACTICE,
          { evidence: [lost.entryId] },
        ),
      ),
  ];
  const { answer, says, pressure } = judge(ahead, tempC, profile, criteria);
  return {
    id: 'late',
    question: 'Is she late?',
    answer,
    says,
    pressure,
    until: ahead.next ? (ahead.events[ahead.next].band.p90 ?? null) : null,
    school: null,
    criteria,
    others: [],
  };
}

function judge(
  ahead: Outlook,
  tempC: number,
  profile: SpeciesProfile,
  criteria: Criterion[],
): { answer: string; says: Phrase; pressure: Verdict['pressure'] } {
  const next = ahead.next;
  if (next === null) return { answer: 'no', says: ['Her first batch is out.'], pressure: 'rest' };
  const band = ahead.events[next].band;
  const word = WORDS[next];
  if (band.p50 === null || warmthPerDay(profile, 'egg', tempC) === 0) {
    return {
      answer: 'at rest',
      says: [
        ...phrase`At ${{ tempC }} nothing moves; ${{ word }} wait for warmth`,
        ...(band.p50 === null ? ['.'] : phrase`, likely about ${{ date: band.p50 }}.`),
      ],
      pressure: 'rest',
    };
  }
  const share = ahead.stillWithout;
  const expected: Phrase =
    band.p10 && band.p90
      ? phrase` Expect ${{ word }} between ${{ date: band.p10 }} and ${{ date: band.p90 }}.`
      : phrase` Expect ${{ word }} about ${{ date: band.p50 }}, perhaps much later.`;
  if (share !== null && share < LATE_SHARE) {
    return {
      answer: 'late',
      says: [...phrase`She is late for ${{ word }}. `, advice(criteria), ...expected],
      pressure: 'soon',
    };
  }
  if (share !== null && share < SLOW_SHARE) {
    return {
      answer: 'slow, not late',
      says: [
        ...phrase`About ${{ percent: share * 100 }} of queens like her take this long for ${{ word }}.`,
        ...expected,
      ],
      pressure: 'free',
    };
  }
  const profileNote: Phrase =
    ahead.strained > 1
      ? [` Her log does not fit what is known of ${profile.name}; the range is widened.`]
      : [];
  return { answer: 'no', says: ['She is in her time.', ...expected, ...profileNote], pressure: 'rest' };
}

/** The cheapest thing that is likely to help; waiting when nothing else is. */
function advice(criteria: Criterion[]): string {
  const missed = (id: string) => criteria.some((c) => c.id === id && c.state === 'unmet');
  if (missed('fed')) return 'She must eat: offer food first.';
  if (missed('calm')) return 'She has been looked at too often: give her a quiet month.';
  if (missed('warmth')) return 'Bring her into her best warmth in small steps, and let her be.';
  return 'Some queens take their time: keep her dark, still and warm, and wait.';
}

function pace(ahead: Outlook, known: QueenLedger): Criterion {
  const share = ahead.stillWithout;
  if (ahead.next === null) {
    return criterion('pace', 'met', ['All stages of the first batch have been seen.'], 'your log');
  }
  const next = ahead.next;
  const evidence =
    next === 'firstBatchEnd' ? [] : [known.appearances[next].afterEntry].filter((e) => e !== null);
  if (share === null) {
    return criterion(
      'pace',
      'unknown',
      [`No look has counted ${WORDS[next]} yet, so nothing says that she is late.`],
      OWN_PRIOR,
      { settles: 'The next look that counts her brood.' },
    );
  }
  return criterion(
    'pace',
    share >= SLOW_SHARE ? 'met' : 'unmet',
    phrase`At the last look that counted none, ${{ percent: share * 100 }} of queens like her would still be without ${{ word: WORDS[next] }}.`,
    `computed from the profile's warmth sums (${OWN_PRIOR}) and her log`,
    { evidence, margin: { value: share - SLOW_SHARE, unit: 'share' } },
  );
}

function warmth(profile: SpeciesProfile, tempC: number): Criterion {
  const { low, high } = profile.bestTempC.value;
  const margin = Math.min(tempC - low, high - tempC);
  return criterion(
    'warmth',
    margin >= 0 ? 'met' : 'unmet',
    margin >= 0
      ? phrase`She stands at ${{ tempC }}, within her best ${{ tempC: low }} to ${{ tempC: high }}.`
      : phrase`She stands at ${{ tempC }}; her best is ${{ tempC: low }} to ${{ tempC: high }}. Cooler is slower but safer than hotter.`,
    PRACTICE,
    { margin: { value: margin, unit: '°C' } },
  );
}

function calm(known: QueenLedger, now: Instant): Criterion {
  if (!known.intake) return criterion('calm', 'unknown', ['No intake is logged.'], PRACTICE);
  const days = Math.max(1, daysBetween(known.intake.at, now));
  const allowed = Math.max(1, days / LOOK_EVERY_DAYS);
  return criterion(
    'calm',
    known.looksSpent <= allowed ? 'met' : 'unmet',
    [`${known.looksSpent} looks in ${Math.round(days)} days; more than one a week makes queens stop laying.`],
    PRACTICE,
    known.lastLook ? { evidence: [known.lastLook.entryId] } : {},
  );
}

function fed(known: QueenLedger, now: Instant): Criterion {
  if (!known.lastFeed) {
    return criterion('fed', 'unmet', ['She must eat while founding, and no feed is logged.'], PRACTICE, {
      settles: 'Offer a little sugar and a tiny piece of protein, and log it.',
    });
  }
  const days = daysBetween(known.lastFeed.at, now);
  return criterion(
    'fed',
    days <= 4 ? 'met' : 'unmet',
    phrase`She must eat while founding; last fed ${{ days }} ago.`,
    PRACTICE,
    { evidence: [known.lastFeed.entryId], margin: { value: 4 - days, unit: 'days' } },
  );
}
