import { lookingSchool } from '@gentle-burrow/core/care';
import { OUTLOOK_EVENTS, type Outlook } from '@gentle-burrow/core/founding';
import type { PlaceRecord } from '@gentle-burrow/core/climate';
import type { Place } from '@gentle-burrow/core/facts';
import { DAY_MS, addDays, type Band, type Instant } from '@gentle-burrow/core/quantity';
import { WHAT_IF_WINTER_C } from '@gentle-burrow/core/season';
import type { QueenFacts, WhatIf } from '@gentle-burrow/core/view';
import { scaleTime } from 'd3-scale';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { useMeasured } from '@/data/climate';
import { useOwnKinds, usePlaces, useSettings, type ShownQueen } from '@/data/queries';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Caution } from '@/ui/Sheet';
import { HEAT_WORDS } from '@/words/heat';
import { EVENT_TITLES } from '@/words/stages';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { bandText, dayText } from '@/ui/dates';
import { Slide } from '@/ui/Slide';
import { Tick } from '@/ui/Tick';
import { tempDiffText, tempText } from '@/ui/units';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { useWhatIf } from './use-what-if';

const BAR = 30;
/** With hands off nobody looks for so long. */
const HANDS_OFF_DAYS = 60;

/** What if she stood warmer or elsewhere, were looked at less, or wintered? Moves with the sliders; nothing is changed. */
export function WhatIfPanel({ shown }: { shown: ShownQueen }) {
  const { facts, view } = shown;
  const settings = useSettings();
  const own = useOwnKinds();
  const units = usePreferences();
  const school = facts.queen.lookingSchool ?? settings.lookingSchool;
  const asItIs: WhatIf = useMemo(
    () => ({
      warmerC: 0,
      placeId: null,
      winterWeeks: 0,
      winterInWeeks: 0,
      lookEveryDays: lookingSchool(school).everyDays ?? HANDS_OFF_DAYS,
      learn: settings.learn,
    }),
    [school, settings.learn],
  );
  const [change, setChange] = useState<WhatIf>(asItIs);
  const places = usePlaces();
  const place = places.find((p) => p.id === change.placeId && p.id !== facts.place.id);
  const there = useMeasured(place?.id ?? null);
  const about = useMemo(
    () => ({
      facts: place ? withPlace(facts, place, there ?? null) : facts,
      settings,
      own,
      learned: shown.learned,
      now: new Date().toISOString(),
    }),
    [facts, place, there, settings, own, shown.learned],
  );
  const told = useWhatIf(about, change);
  const now = new Date();
  const set = (part: Partial<WhatIf>) => setChange({ ...change, ...part });
  const touched = JSON.stringify(change) !== JSON.stringify(asItIs);
  // as long as nothing is changed, her page has the answer
  const answer = touched ? told?.answer : null;
  const after = touched ? answer?.outlook : view.outlook;
  const taught = Object.values(shown.learned).some((e) => Object.keys(e).length > 0);
  // how warm it is as it is stands on her page
  const warmer = change.warmerC > 0 || place !== undefined;
  const heat = warmer && answer?.heat ? HEAT_WORDS[answer.heat] : null;
  const looks = told?.answer.looks;
  return (
    <View style={styles.all}>
      <Slide
        label="Warmer (a mat) or cooler from today"
        value={change.warmerC}
        min={-10}
        max={10}
        step={0.5}
        text={
          change.warmerC === 0
            ? 'as it is'
            : `${tempDiffText(Math.abs(change.warmerC), units.temperature)} ${change.warmerC > 0 ? 'warmer' : 'cooler'}`
        }
        onChange={(warmerC) => set({ warmerC })}
      />
      {places.length > 1 ? (
        <Choice
          label="At another place"
          options={places.map((p) => ({
            value: p.id,
            label: p.name,
            ...(p.id === facts.place.id ? { hint: 'as it is' } : {}),
          }))}
          value={change.placeId ?? facts.place.id}
          onChange={(placeId) => set({ placeId: placeId === facts.place.id ? null : placeId })}
        />
      ) : null}
      <Slide
        label="Wintered"
        value={change.winterWeeks}
        min={0}
        max={24}
        text={
          change.winterWeeks === 0
            ? 'not'
            : `${change.winterWeeks} weeks at ${tempText(WHAT_IF_WINTER_C, units.temperature)}`
        }
        onChange={(winterWeeks) => set({ winterWeeks })}
      />
      {change.winterWeeks > 0 ? (
        <Slide
          label="Her winter begins"
          value={change.winterInWeeks}
          min={0}
          max={40}
          text={
            change.winterInWeeks === 0 ? 'today' : dayText(addDays(about.now, 7 * change.winterInWeeks), now)
          }
          onChange={(winterInWeeks) => set({ winterInWeeks })}
        />
      ) : null}
      <Slide
        label="A look every"
        value={change.lookEveryDays}
        min={3}
        max={60}
        text={`${change.lookEveryDays} days`}
        onChange={(lookEveryDays) => set({ lookEveryDays })}
      />
      {taught ? (
        <Tick
          label="With what your other queens showed"
          on={change.learn}
          onPress={() => set({ learn: !change.learn })}
        />
      ) : null}
      {heat ? (
        <Caution>
          <Words kind="small">{heat}</Words>
        </Caution>
      ) : null}
      {answer?.trouble ? <Words>{answer.trouble}</Words> : null}
      {after && view.outlook ? (
        <Compared before={view.outlook} after={after} now={now} />
      ) : (
        <Words soft>Working it out …</Words>
      )}
      {looks && looks.until.p50 !== null ? (
        <Words kind="small">
          {looks.until.p50 === 0
            ? 'Her workers are out: looks cost less from now on.'
            : `${looksText(looks.until.p50, looks.until.p90)} until her first workers; you would notice them ${Math.round(looks.noticed.usual)} days late as a rule, ${looks.noticed.most} at the most.`}
        </Words>
      ) : null}
      {after?.later?.byWinter ? (
        <Words kind="small">
          {`By ${dayText(after.later.byWinter.on, now)}: ${workersText(after.later.byWinter.workers)}.`}
        </Words>
      ) : null}
      <View style={styles.foot}>
        <Words kind="small" soft style={styles.words}>
          Nothing is changed in her log; a tube is warmed at its open end only, in small steps.
        </Words>
        {touched ? (
          <Button mode="text" icon="undo" onPress={() => setChange(asItIs)}>
            As it is
          </Button>
        ) : null}
      </View>
    </View>
  );
}

/** As far as a what-if needs it: the other place among hers, with what was measured there. */
const withPlace = (facts: QueenFacts, place: Place, record: PlaceRecord | null): QueenFacts => ({
  ...facts,
  places: [...facts.places.filter((p) => p.id !== place.id), place],
  measured: [...(facts.measured ?? []).filter((r) => r.placeId !== place.id), ...(record ? [record] : [])],
});

/** "About 3 to 5 looks". */
function looksText(usual: number, most: number | null): string {
  const range = most !== null && most > usual ? `${usual} to ${most}` : String(usual);
  return `About ${range} ${range === '1' ? 'look' : 'looks'}`;
}

/** "18 to 31 workers", "no workers". */
export function workersText({ p10, p90 }: Band): string {
  const [low, high] = [Math.round(p10), Math.round(p90)];
  if (high === 0) return 'no workers';
  return low === high ? `${low} workers` : `${low} to ${high} workers`;
}

function Compared({ before, after, now }: { before: Outlook; after: Outlook; now: Date }) {
  const p = useBurrow();
  const [width, onLayout] = useWidth();
  const events = OUTLOOK_EVENTS.filter((e) => before.events[e].status === 'ahead');
  const ends = [before, after].flatMap((o) =>
    events.flatMap((e) => {
      const { p90, p50 } = o.events[e].band;
      const at = p90 ?? p50;
      return at ? [new Date(at).getTime()] : [];
    }),
  );
  const end = Math.min(now.getTime() + 330 * DAY_MS, Math.max(now.getTime() + 14 * DAY_MS, ...ends));
  const x = scaleTime()
    .domain([new Date(now.getTime() - 3 * DAY_MS), new Date(end)])
    .range([2, Math.max(3, width - 2)]);
  const bar = (band: Band<Instant | null>, wide: number, strong: boolean) => {
    if (!band.p10) return null;
    const from = Math.max(0, x(new Date(band.p10)));
    const to = Math.min(width, band.p90 ? x(new Date(band.p90)) : width);
    return (
      <>
        <Rect
          x={from}
          y={(BAR - wide) / 2}
          width={Math.max(3, to - from)}
          height={wide}
          rx={wide / 2}
          fill={strong ? 'none' : p.mossWash}
          stroke={strong ? p.moss : p.rule}
          strokeWidth={strong ? 2 : 1}
        />
        {band.p50 && strong ? (
          <Line
            x1={x(new Date(band.p50))}
            x2={x(new Date(band.p50))}
            y1={4}
            y2={BAR - 4}
            stroke={p.moss}
            strokeWidth={3}
          />
        ) : null}
      </>
    );
  };
  return (
    <View style={styles.compared} onLayout={onLayout} aria-live="polite">
      <View style={styles.legend} aria-hidden>
        <Key fill={p.mossWash} stroke={p.rule} says="as it is" />
        <Key fill="none" stroke={p.moss} says="what if" />
      </View>
      {events.map((e) => (
        <View key={e}>
          <View style={styles.words2}>
            <Words kind="smallBold">{EVENT_TITLES[e]}</Words>
            <Words kind="small">{`what if: ${bandText(after.events[e].band, now)}`}</Words>
          </View>
          <Words kind="small" soft>{`as it is: ${bandText(before.events[e].band, now)}`}</Words>
          <Svg width={width} height={BAR} aria-hidden>
            <Line x1={0} x2={width} y1={BAR / 2} y2={BAR / 2} stroke={p.rule} />
            {bar(before.events[e].band, 22, false)}
            {bar(after.events[e].band, 14, true)}
            <Line x1={x(now)} x2={x(now)} y1={0} y2={BAR} stroke={p.ink} strokeDasharray="2 2" />
          </Svg>
        </View>
      ))}
    </View>
  );
}

/** One of the two bars, with its name. */
function Key({ fill, stroke, says }: { fill: string; stroke: string; says: string }) {
  return (
    <View style={styles.key}>
      <Svg width={36} height={16}>
        <Rect x={1} y={2} width={34} height={12} rx={6} fill={fill} stroke={stroke} strokeWidth={2} />
      </Svg>
      <Words kind="small">{says}</Words>
    </View>
  );
}

const styles = StyleSheet.create({
  legend: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m },
  key: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
  all: { gap: SPACE.m },
  compared: { gap: SPACE.xs },
  words2: { flexDirection: 'row', justifyContent: 'space-between', flexWrap: 'wrap', columnGap: SPACE.s },
  foot: { flexDirection: 'row', alignItems: 'center', flexWrap: 'wrap', gap: SPACE.s },
  words: { flexShrink: 1, flexGrow: 1, flexBasis: 200 },
});
