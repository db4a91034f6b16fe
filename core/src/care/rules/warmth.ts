import { addDays, phrase, type Instant, type Phrase } from '../../quantity';
import { COOL_WINTER_C, WINTER_TEMP_C, winterRange } from '../../season';
import type { Case } from '../case';
import {
  aboveBest,
  coldestOf,
  dangerC,
  dangerNow,
  heatBetween,
  heatNow,
  heatToCheck,
  hiddenC,
  spellWords,
} from '../heat';
import { figure } from '../practice';
import { ask, askNow, COMMON_PRACTICE, criterion, verdict, type Criterion, type Rule } from '../verdict';
import { setAside, spotCriteria, spotFault } from './spot';

const STEPS: Phrase = phrase`In small steps, ${{ tempDiffC: 1 }} to ${{ tempDiffC: 2 }} a day, at the open end only, never at the water end.`;

/** Is she warm enough, and not too hot? Heat that kills comes before everything else; heat that is over is asked after. */
export const warmth: Rule = (c) => {
  const answer = warmthNow(c);
  const spell = answer?.pressure === 'now' ? null : heatToCheck(c);
  if (!answer || !spell) return answer;
  const says: Phrase = [
    `Look once: are ${c.life === 'orphans' ? 'the workers' : 'the queen and her brood'} alive? `,
    ...spellWords(spell),
    ...phrase` ${{ tempC: dangerC(c.profile) }} kills brood and queen. Find out what heated the place before it happens again.`,
  ];
  return {
    ...answer,
    answer: 'was too hot',
    says: answer.pressure === 'soon' ? [...says, ' ', ...answer.says] : says,
    pressure: 'soon',
    notice: true,
    asks: [...answer.asks, ask(c, 'look', [c.now, c.now, addDays(c.now, figure('lookOnceDays'))], says)],
  };
};

const warmthNow: Rule = (c) => {
  if (c.life === 'gone') return null;
  const { low, high } = c.profile.bestTempC.value;
  const criteria = [best(c), ...peak(c), ...wasHot(c), ...spotCriteria(c), ...setAside(c)];
  const common = { id: 'warmth', question: 'Is she warm enough?', criteria } as const;
  const { tempC } = c;
  const range = winterRange(c.profile.rest.value);
  const warmest = heatNow(c);
  const { heat } = warmest;
  if (heat === 'danger') {
    const says: Phrase = [
      ...(warmest.reaches
        ? phrase`Her place reaches ${{ tempC: warmest.tempC }}`
        : phrase`She stands at ${{ tempC }}`),
      ...phrase`: that kills. Bring her below ${{ tempC: high }} now, into the shade, never onto ice; switch the heat off and keep it from the water end. Brood and queen are in danger from ${{ tempC: dangerC(c.profile) }} on.`,
    ];
    return verdict({
      ...common,
      answer: 'too hot: danger',
      says,
      pressure: 'now',
      asks: [{ ...askNow(c, 'cool', says, 0.1), timer: true }],
    });
  }
  if (heat === 'close') {
    const says: Phrase = [
      ...phrase`Move her somewhere cooler today, below ${{ tempC: high }}, and keep heat away from the water end. `,
      ...(warmest.reaches
        ? phrase`Her place reaches ${{ tempC: warmest.tempC }}`
        : phrase`She is at ${{ tempC }}`),
      ...phrase`, and ${{ tempC: dangerC(c.profile) }} kills brood and queen. A thermometer can be ${{ tempDiffC: hiddenC(c.tempErrorC) }} off: check it in melting ice, or against another one.`,
    ];
    return verdict({
      ...common,
      answer: 'may be too hot',
      says,
      pressure: 'now',
      asks: [{ ...askNow(c, 'cool', says, 0.25), timer: true }],
    });
  }
  if (dangerNow(c) === 'frost') {
    const coldC = coldestOf(c);
    const says = phrase`Move her somewhere warmer now, ${{ tempC: WINTER_TEMP_C.low }} to ${{ tempC: WINTER_TEMP_C.high }}. At ${{ tempC: coldC }} her water freezes, which can burst the glass and kill her. Wear gloves if the glass is cracked.`;
    return verdict({
      ...common,
      answer: 'frost: danger',
      says,
      pressure: 'now',
      asks: [{ ...askNow(c, 'warm', says, 0.25), timer: true }],
    });
  }
  if (tempC <= figure('nearFrostC')) {
    const says = phrase`At ${{ tempC }} she stands near frost: her water may freeze and burst the glass. A few degrees more, ${{ tempC: WINTER_TEMP_C.low }} to ${{ tempC: WINTER_TEMP_C.high }} in winter, in small steps; handle cracked glass with gloves.`;
    return verdict({
      ...common,
      answer: 'too near frost',
      says,
      pressure: 'soon',
      asks: [ask(c, 'warm', [c.now, c.now, addDays(c.now, figure('coolSlackDays'))], says)],
    });
  }
  if (c.place.spot?.measured === false && !c.wintering)
    return verdict({
      ...common,
      answer: 'not measured',
      says: phrase`Nobody has measured where she stands; about ${{ tempC }} is taken, and every date is wide. A thermometer beside the tube for a day tells.`,
      pressure: 'free',
      notice: true,
    });
  const spot = spotFault(c);
  if (spot) return verdict({ ...common, ...spot });
  if (c.wintering && tempC > COOL_WINTER_C.low + figure('heatMarginC') && c.profile.rest.value === 'cold') {
    const says = phrase`Move her somewhere cooler, ${{ tempC: range.low }} to ${{ tempC: range.high }}, in small steps. At ${{ tempC }} this winter is too warm: she uses up her reserves. Give no protein.`;
    return verdict({
      ...common,
      answer: 'too warm for winter',
      says,
      pressure: 'soon',
      asks: [ask(c, 'cool', [c.now, c.now, addDays(c.now, figure('warmSlackDays'))], says)],
    });
  }
  if (c.wintering && range.low > WINTER_TEMP_C.high)
    return verdict({
      ...common,
      answer: 'cold, as winter should be',
      says:
        tempC < WINTER_TEMP_C.low
          ? phrase`At ${{ tempC }} this is a deeper winter than suits her species. ${{ tempC: range.low }} to ${{ tempC: range.high }} is enough; change it in small steps.`
          : phrase`At ${{ tempC }} she is wintering. ${{ tempC: range.low }} to ${{ tempC: range.high }}, or an unheated room, is usual for her species; give her no more warmth now.`,
    });
  if (c.wintering)
    return verdict({
      ...common,
      answer: 'cold, as winter should be',
      says:
        tempC <= WINTER_TEMP_C.high
          ? phrase`${{ tempC }} is what she needs now: this cold is her winter.`
          : phrase`At ${{ tempC }} nothing develops: this is her winter. ${{ tempC: WINTER_TEMP_C.low }} to ${{ tempC: WINTER_TEMP_C.high }} is usual and saves her more; no more warmth now.`,
    });
  if (heat === 'hot') {
    const says = phrase`At ${{ tempC }} she is warmer than her best, ${{ tempC: low }} to ${{ tempC: high }}. Cool her in small steps: above her best it does not go faster, and a cheap thermometer may hide another ${{ tempDiffC: 1 }} or ${{ tempDiffC: 2 }}.`;
    return verdict({
      ...common,
      answer: 'a little too warm',
      says,
      pressure: 'soon',
      asks: [ask(c, 'cool', [c.now, c.now, addDays(c.now, figure('coolSlackDays'))], says)],
    });
  }
  if (heat === 'best')
    return verdict({ ...common, answer: 'yes', says: phrase`${{ tempC }} lies within her best.` });
  if (c.profile.inTheCold.value === 'active' && c.phase !== 'growing')
    return verdict({
      ...common,
      answer: 'cool, as she likes it',
      says: ['Her kind is active in the cold and rests in the heat of summer.'],
    });
  if (heat === 'cool') {
    const says: Phrase = [
      ...phrase`At ${{ tempC }} she is slower, not in danger. A few degrees more, up to ${{ tempC: low }}, bring her brood on faster. `,
      ...STEPS,
    ];
    const season = coolSuits(c);
    return verdict({
      ...common,
      answer: season ? 'cool, as the season is' : 'cool: slower, not dangerous',
      says: season ? phrase`At ${{ tempC }} she goes slowly: that suits the season.` : says,
      asks: season ? [] : [optionalWarm(c, says)],
    });
  }
  if (coolSuits(c))
    return verdict({
      ...common,
      answer: 'cool, as the season is',
      says: phrase`Leave her as cool as she is. At ${{ tempC }} nothing develops, and her winter is near.`,
    });
  const says: Phrase = [
    ...phrase`At ${{ tempC }} nothing develops, and it is not winter: bring her into ${{ tempC: low }} to ${{ tempC: high }}. `,
    ...STEPS,
  ];
  return verdict({
    ...common,
    answer: 'too cold',
    says,
    pressure: 'soon',
    asks: [ask(c, 'warm', [c.now, c.now, addDays(c.now, figure('warmSlackDays'))], says)],
  });
};

/** In late summer, autumn and winter cool is on the way to where she should be: nobody is warmed a few weeks before winter. */
export const coolSuits = (c: Case): boolean =>
  c.winter !== null && c.phase !== 'growing' && c.phase !== 'spring';

const optionalWarm = (c: Case, says: Phrase) =>
  ask(c, 'warm', [c.now, c.now, addDays(c.now, figure('warmSlackDays'))], says, { obligatory: false });

/** Heat that was measured of late and is over. */
function wasHot(c: Case): Criterion[] {
  const spell = heatBetween(c, addDays(c.now, -figure('heatAskedDays')), c.now);
  return spell ? [criterion('was-hot', 'unmet', spellWords(spell), 'measured where she stood')] : [];
}

/** Heat as a cause of what was lost: as it is now, or as it was measured in between. */
export function heatCause(c: Case, from: Instant, to: Instant): Criterion {
  const spell = heatBetween(c, from, to);
  if (spell) return criterion('heat', 'unmet', spellWords(spell), 'measured where she stood');
  const { heat, tempC, reaches } = heatNow(c);
  return criterion(
    'heat',
    aboveBest(heat) ? 'unmet' : 'met',
    reaches ? phrase`Her place reaches ${{ tempC }}.` : phrase`It is ${{ tempC }} where she is.`,
    COMMON_PRACTICE,
  );
}

/** Where she stands against her best; also a reason of other answers. */
export function best(c: Case): Criterion {
  const { low, high } = c.profile.bestTempC.value;
  const margin = Math.min(c.tempC - low, high - c.tempC);
  const words =
    margin >= 0
      ? phrase`She stands at ${{ tempC: c.tempC }}, within her best ${{ tempC: low }} to ${{ tempC: high }}.`
      : phrase`She stands at ${{ tempC: c.tempC }}; her best is ${{ tempC: low }} to ${{ tempC: high }}.`;
  return criterion('best', margin >= 0 || c.wintering ? 'met' : 'unmet', words, COMMON_PRACTICE, {
    margin: { value: margin, unit: '°C' },
  });
}

function peak(c: Case): Criterion[] {
  const high = c.place.spot?.dayHighC;
  if (high === undefined) return [];
  const limit = dangerC(c.profile);
  return [
    criterion(
      'peak',
      high < limit ? 'met' : 'unmet',
      phrase`The warmest of a usual day there is ${{ tempC: high }}; from ${{ tempC: limit }} on it is dangerous.`,
      COMMON_PRACTICE,
      { margin: { value: limit - high, unit: '°C' } },
    ),
  ];
}
