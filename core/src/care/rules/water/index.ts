import { livesInTube, type InTube } from '../../case';
import { verdict, type Rule, type Verdict } from '../../verdict';
import { mould } from '../tube-fault';
import { inBody, wateringAsks } from '../watering';
import { pace, plug, rise, supply } from './criteria';
import { stateOf, waterOf } from './states';

/** Does her tube hold? Water for how long, and the faults seen in plug and cell. */
export const water: Rule = (c) => {
  if (c.life === 'gone') return null;
  if (!livesInTube(c)) return inBody(c);
  const told = inTube(c);
  // what else is wetted for her, a nest that is made ready or a drinker, is watered beside it
  return { ...told, asks: [...told.asks, ...wateringAsks(c)] };
};

function inTube(c: InTube): Verdict {
  const known = waterOf(c);
  const criteria = [supply(c, known.daysLeft), ...plug(c), ...mould(c), ...rise(c), ...pace(c)];
  return verdict({ id: 'water', question: 'Does her tube hold?', criteria, ...stateOf(known) });
}
