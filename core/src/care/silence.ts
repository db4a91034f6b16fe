import type { FounderBelief, Outlook, QueenLedger } from '../founding';
import { daysBetween, msOf, phrase, type Instant, type Phrase } from '../quantity';
import type { SpeciesProfile } from '../species';
import { criterion, OWN_PRIOR, type Criterion, type Verdict } from './verdict';

export const SILENCE_CAUSES = [
  'early',
  'cool',
  'season',
  'disturbed',
  'hungry',
  'infertile',
  'water',
] as const;
export type SilenceCause = (typeof SILENCE_CAUSES)[number];

export interface WeighedCause {
  cause: SilenceCause;
  /** 0..1, all causes together 1. */
  share: number;
  says: Phrase;
  evidence: string[];
  speaks: 'for' | 'against' | 'unknown';
}

/** Before this day nobody asks why there are no eggs. Practice: usually one to two weeks. */
const ASK_AFTER_DAYS = 10;
/** Weight of each cause before its evidence, against "still early" at its full share. Priors. */
const BASE = { cool: 0.15, disturbed: 0.15, hungry: 0.12, infertile: 0.06, water: 0.06 };
/** More than one disturbance in so many days is too many. Practice. */
const CALM_DAYS = 7;
/** A semi-claustral queen unfed for longer than this hungers. Practice. */
const UNFED_DAYS = 5;
/** From this share on a cause that kills is acted on. Prior. */
const ACT_ABOVE = 0.35;

/**
 * Why is nothing there? Only asked when no eggs were found after the usual time, or brood is gone. Every cause gets a
 * weight from its evidence; the weights come to one. Figures are priors, directions are practice.
 * @returns null while there is nothing to explain
 */
export function weighSilence(
  profile: SpeciesProfile,
  known: QueenLedger,
  ahead: Outlook,
  founder: FounderBelief,
  tempC: number,
  now: Instant,
): WeighedCause[] | null {
  const gone = known.broodLost[known.broodLost.length - 1];
  const eggs = known.appearances.eggs;
  const since = known.intake?.at ?? now;
  // that she had none when she was caught is no look
  const looked = eggs.absentAt.some((at) => msOf(at) > msOf(since));
  const days = daysBetween(since, now);
  if (known.loss || eggs.interval.by !== null) return null;
  if (!gone && (!looked || days < ASK_AFTER_DAYS)) return null;
  const causes = [
    early(ahead),
    season(profile, known, ahead, now),
    cool(profile, tempC),
    disturbed(known, now),
    hungry(known, founder, now),
    infertile(known, ahead, Boolean(gone)),
    water(known),
  ];
  const total = causes.reduce((sum, c) => sum + c.share, 0);
  return causes.map((c) => ({ ...c, share: c.share / total })).sort((a, b) => b.share - a.share);
}

function early(ahead: Outlook): WeighedCause {
  const share = ahead.stillWithout ?? 1 - ahead.events.eggs.byNow;
  return {
    cause: 'early',
    share: Math.max(share, 0.005),
    says: phrase`Still early: ${{ percent: 100 * share }} of queens like her would be without by now.`,
    evidence: [],
    speaks: share > 0.2 ? 'for' : 'against',
  };
}

function season(profile: SpeciesProfile, known: QueenLedger, ahead: Outlook, now: Instant): WeighedCause {
  // a band that reaches months ahead says that she may winter first
  const p90 = ahead.events.eggs.band.p90;
  const waits = profile.winters.value && p90 !== null && daysBetween(now, p90) > 60;
  return {
    cause: 'season',
    share: waits ? 0.6 : 0.02,
    says: waits
      ? ['Caught late: she may winter first and lay in spring.']
      : ['The season does not hold her back.'],
    evidence: known.intake ? [known.intake.entryId] : [],
    speaks: waits ? 'for' : 'against',
  };
}

function cool(profile: SpeciesProfile, tempC: number): WeighedCause {
  const short = profile.bestTempC.value.low - tempC;
  return {
    cause: 'cool',
    share: BASE.cool * (short > 0 ? 1 + short : 0.1),
    says:
      short > 0
        ? phrase`Too cool: she stands at ${{ tempC }}, her kind's best begins at ${{ tempC: profile.bestTempC.value.low }}.`
        : phrase`Warm enough, at ${{ tempC }}.`,
    evidence: [],
    speaks: short > 0 ? 'for' : 'against',
  };
}

function disturbed(known: QueenLedger, now: Instant): WeighedCause {
  const since = known.intake?.at ?? now;
  const weeks = Math.max(1, daysBetween(since, now) / CALM_DAYS);
  const many = known.disturbances.length - 1;
  const rate = many / weeks;
  return {
    cause: 'disturbed',
    share: BASE.disturbed * (rate > 1 ? 4 * rate : rate > 0.6 ? 1 : 0.2),
    says: phrase`${{ word: `${many} disturbances` }} in ${{ days: weeks * CALM_DAYS }}${{ word: rate > 1 ? ': more than one a week makes queens stop laying or eat their brood' : '' }}.`,
    evidence: known.disturbances.slice(-3).map((d) => d.entryId),
    speaks: rate > 1 ? 'for' : 'against',
  };
}

function hungry(known: QueenLedger, founder: FounderBelief, now: Instant): WeighedCause {
  const mustEat = founder.probabilities['semi-claustral'];
  const unfed = !known.lastFeed || daysBetween(known.lastFeed.at, now) > UNFED_DAYS;
  return {
    cause: 'hungry',
    share: unfed ? BASE.hungry * 10 * mustEat : 0.01,
    says: phrase`${{ word: unfed ? 'Hungry, if she must eat' : 'Fed lately, so hunger is unlikely' }}: semi-claustral at ${{ percent: 100 * mustEat }}.`,
    evidence: known.lastFeed ? [known.lastFeed.entryId] : [],
    speaks: unfed && mustEat > 0.15 ? 'for' : unfed ? 'unknown' : 'against',
  };
}

function infertile(known: QueenLedger, ahead: Outlook, laid: boolean): WeighedCause {
  const late = 1 - (ahead.stillWithout ?? 1);
  const proven = known.counts.workers !== null && known.counts.workers.range.low > 0;
  return {
    cause: 'infertile',
    share: proven ? 0.001 : BASE.infertile * (laid ? 0.5 : 1) * (0.2 + 2.5 * late ** 3),
    says: proven
      ? ['She has workers: she is fertile.']
      : ['Never mated, or spent: it cannot be seen, only inferred when all else is ruled out.'],
    evidence: [],
    speaks: proven ? 'against' : 'unknown',
  };
}

function water(known: QueenLedger): WeighedCause {
  const bad =
    (known.wetFront && ['dry', 'soaked', 'leaking'].includes(known.wetFront.value)) ||
    known.mould?.value === 'near-brood';
  const seen = known.wetFront ?? known.mould;
  return {
    cause: 'water',
    share: bad ? BASE.water * 12 : seen ? BASE.water * 0.2 : BASE.water,
    says: bad
      ? ['Water or mould: her plug or her cell is not as it should be.']
      : seen
        ? ['Water and plug were in order when last seen.']
        : ['Nobody has noted her plug or mould.'],
    evidence: seen ? [seen.entryId] : [],
    speaks: bad ? 'for' : seen ? 'against' : 'unknown',
  };
}

const SETTLES: Record<SilenceCause, string> = {
  early: 'Time alone: leave her be until the end of the band.',
  season: 'A date: when the cold months begin, winter her; eggs are expected in spring.',
  cool: 'A few degrees more, in small steps, at the open end.',
  disturbed: 'Four weeks without any look.',
  hungry: 'A tiny piece of protein: taken or refused tells at once.',
  infertile: 'Nothing cheap: wait out every other cause first.',
  water: 'Note the wet front and mould at the next look.',
};

const NAMES: Record<SilenceCause, string> = {
  early: 'still early',
  season: 'the season',
  cool: 'too cool',
  disturbed: 'disturbed',
  hungry: 'hungry',
  infertile: 'infertile',
  water: 'water or mould',
};

/** The weighed causes as a verdict: never an alarm where waiting is right, never "wait" where hunger or dryness kills. */
export function whySilent(causes: readonly WeighedCause[], now: Instant, waitUntil: Instant | null): Verdict {
  const top = causes[0] as WeighedCause;
  const deadly = causes.find((c) => (c.cause === 'hungry' || c.cause === 'water') && c.share >= ACT_ABOVE);
  const act = deadly ?? top;
  const until = waitUntil && msOf(waitUntil) > msOf(now) ? waitUntil : null;
  return {
    id: 'silence',
    question: 'Why is nothing there?',
    answer: deadly ? NAMES[deadly.cause] : `likely ${NAMES[top.cause]}`,
    says:
      act.cause === 'water' && act.speaks === 'for'
        ? ['Mend the plug, or offer a dry, fresh tube beside the old one.']
        : [`Would settle most: ${SETTLES[act.cause]}`],
    pressure: deadly ? 'now' : 'rest',
    until: deadly ? null : until,
    school: null,
    criteria: causes.map((c): Criterion =>
      criterion(
        c.cause,
        c.speaks === 'for' ? 'unmet' : c.speaks === 'against' ? 'met' : 'unknown',
        [`${capital(NAMES[c.cause])}, ${Math.round(100 * c.share)} %. `, ...c.says],
        `weight is ${OWN_PRIOR}`,
        { evidence: c.evidence, ...(c.speaks === 'unknown' ? { settles: SETTLES[c.cause] } : {}) },
      ),
    ),
    others: [],
  };
}

const capital = (text: string): string => `${text[0]?.toUpperCase()}${text.slice(1)}`;
