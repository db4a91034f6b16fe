import type { Entry } from '../log';
import type { Fact } from './fact';

/** An intake without where she was found: the keeper decides whether that leaves the house. */
export function withoutPlace(fact: Fact): Fact {
  if (fact.fact !== 'entry') return fact;
  const e = fact.value;
  if (e.kind === 'amendment' && e.replacement?.kind === 'intake')
    return { fact: 'entry', value: { ...e, replacement: bare(e.replacement) } };
  return e.kind === 'intake' ? { fact: 'entry', value: bare(e) } : fact;
}

function bare<T extends Pick<Extract<Entry, { kind: 'intake' }>, 'where' | 'coordinates'>>(intake: T): T {
  const { where: _where, coordinates: _coordinates, ...rest } = intake;
  return rest as T;
}
