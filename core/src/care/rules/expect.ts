import { capital } from '../../words';
import { msOf, phrase, type Band, type Instant, type Phrase } from '../../quantity';

/** When something is awaited, as a clause: never a past date as a forecast. */
export function expected(what: string, { p10, p50, p90 }: Band<Instant | null>, now: Instant): Phrase {
  const past = (at: Instant | null) => at !== null && msOf(at) <= msOf(now);
  if (p50 === null || p10 === null) return phrase`${{ word: what }}: not at this warmth`;
  if (past(p90)) return phrase`${{ word: what }}: probably there by now`;
  if (p90 === null)
    return past(p10)
      ? phrase`${{ word: what }}: any day, perhaps much later`
      : phrase`${{ word: what }}: from ${{ date: p10 }} on, perhaps much later`;
  if (past(p10)) return phrase`${{ word: what }}: any day until ${{ date: p90 }}`;
  return phrase`${{ word: what }}: between ${{ date: p10 }} and ${{ date: p90 }}`;
}

/** The same as a sentence of its own. */
export function expectSentence(what: string, band: Band<Instant | null>, now: Instant): Phrase {
  const clause = expected(what, band, now);
  const [first] = clause;
  const head = typeof first === 'object' && 'word' in first ? capital(first.word) : '';
  return [{ word: head }, ...clause.slice(1), '.'];
}
