import { VERDICT_IDS, type Rule, type VerdictId } from '../verdict';
import { boosting } from './boosting';
import { broodGone } from './brood-gone';
import { food } from './food';
import { health } from './health';
import { late } from './late';
import { leftovers } from './leftovers';
import { look } from './look';
import { losses } from './losses';
import { moving } from './moving';
import { nest, space } from './home';
import { queens } from './queens';
import { silence } from './silence';
import { trouble } from './trouble';
import { warmth } from './warmth';
import { water } from './water';
import { winter } from './winter';

/** Every rule of the trade. A new question is one more file and one more line. */
const BY_ID: Record<VerdictId, Rule> = {
  look,
  late,
  silence,
  'brood-gone': broodGone,
  boosting,
  food,
  leftovers,
  moving,
  water,
  trouble,
  warmth,
  winter,
  health,
  losses,
  queens,
  space,
  nest,
};

export const RULES: readonly Rule[] = VERDICT_IDS.map((id) => BY_ID[id]);
