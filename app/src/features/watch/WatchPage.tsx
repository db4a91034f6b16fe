import { OUTLOOK_EVENTS, seenBetween, type LaterOutlook, type Outlook } from '@gentle-burrow/core/founding';
import { DAY_MS, countText, type CountRange, type Instant } from '@gentle-burrow/core/quantity';
import { MILESTONES, type Milestone, type KindCard } from '@gentle-burrow/core/species';
import type { Caste } from '@gentle-burrow/core/vocabulary';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { isUnknown } from '@/data/network';
import { useQueen, useSpecies, type ShownQueen } from '@/data/queries';
import { NoSuchQueen } from '@/features/queen/NoSuchQueen';
import { lensView } from '@/features/tube/lens';
import { anatomyOf } from '@/features/tube/anatomy';
import { PartDrawing } from '@/features/home/PartDrawing';
import { workersText } from '@/features/what-if/WhatIfPanel';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { bandText, dayText, intervalText, nearText } from '@/ui/dates';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Failed, Loading } from '@/ui/states';
import { Told } from '@/ui/Told';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { CASTE_WORDS } from '@/words/log';
import { EVENT_TITLES } from '@/words/stages';
import { countdown, insideWords, type Countdown } from './likely';
import { NAMES } from '@/words/names';

/** What is she probably doing? Something better to open than the drawer. */
export function WatchPage({ id }: { id: string }) {
  const { data, loading, error, retry } = useQueen(id);
  if (isUnknown(error)) return <NoSuchQueen />;
  return (
    <Screen
      question={data ? `What is ${data.facts.queen.label} probably doing?` : NAMES.probably}
      back={`/queens/${id}`}
    >
      {loading ? <Loading what="her outlook" /> : null}
      {error ? <Failed error={error} onRetry={retry} /> : null}
      {data ? <Watch shown={data} /> : null}
    </Screen>
  );
}

function Watch({ shown }: { shown: ShownQueen }) {
  const profile = useSpecies().find((s) => s.id === shown.view.profileId);
  const { outlook, ledger } = shown.view;
  const later = outlook?.later;
  if (!outlook || !later || ledger.loss)
    return (
      <Words>
        {ledger.loss ? 'She is gone: there is nothing to wait for.' : 'No outlook can be given for her.'}
      </Words>
    );
  const now = new Date();
  const seenAt = ledger.lastLook?.at ?? ledger.intake?.at;
  const count = countdown(outlook, now);
  return (
    <>
      <LikelyTube shown={shown} later={later} profile={profile} />
      <Told kind="answer">{insideWords(later)}</Told>
      <Words kind="small" soft>
        {`Reckoned from her log and her warmth, not seen. ${seenAt ? `Last seen ${nearText(seenAt, now)}.` : ''} The paler, the less likely.`}
      </Words>
      {count ? (
        <Sheet>
          <CountdownBand count={count} />
        </Sheet>
      ) : null}
      <Sheet>
        <Words kind="heading" level={2}>
          Milestones
        </Words>
        <Milestones shown={shown} outlook={outlook} later={later} now={now} />
      </Sheet>
    </>
  );
}

function LikelyTube({
  shown,
  later,
  profile,
}: {
  shown: ShownQueen;
  later: LaterOutlook;
  profile: KindCard | undefined;
}) {
  const p = useBurrow();
  const [width, onLayout] = useWidth();
  const { view } = shown;
  const { part } = view;
  const a = part.kind === 'tube' ? anatomyOf(part) : null;
  const chances = Object.fromEntries(MILESTONES.map((m) => [m, later.inside[m].chance])) as Record<
    Milestone,
    number
  >;
  const counts = Object.fromEntries(
    MILESTONES.map((m): [Milestone, CountRange | null] => {
      const { chance, count } = later.inside[m];
      return [m, chance < 0.1 ? null : { low: Math.max(1, count.p10), high: Math.max(1, count.p90) }];
    }),
  );
  return (
    <View style={styles.picture} onLayout={onLayout}>
      <View style={[styles.frame, { borderColor: p.moss, backgroundColor: p.sheet }]}>
        <PartDrawing
          part={part}
          width={Math.max(0, width - 4)}
          {...(a ? { view: lensView(a, 2 * a.R + 6, width) } : {})}
          lineMm={view.counsel?.water?.lineMm}
          counts={counts}
          chances={chances}
          queenAtMm={view.ledger.queenSeen?.atMm ?? null}
          profile={profile}
          wetFront={view.ledger.wetFront?.value}
        />
        <View style={[styles.stamp, { backgroundColor: p.ground, borderColor: p.moss }]}>
          <Words kind="smallBold" color={p.moss}>
            likely, not seen
          </Words>
        </View>
      </View>
    </View>
  );
}

/** The next thing, as days from today. */
function CountdownBand({ count }: { count: Countdown }) {
  const p = useBurrow();
  const [width, onLayout] = useWidth();
  const most = Math.max(7, count.high * 1.15);
  const x = (days: number) => 2 + (Math.max(0, days) / most) * Math.max(0, width - 4);
  return (
    <View style={styles.countdown} onLayout={onLayout}>
      <Words kind="heading" level={2}>
        {count.title}
      </Words>
      <Words kind="answer">{count.says}</Words>
      <Svg width={width} height={34} role="img" aria-label={count.says}>
        <Line x1={2} x2={width - 2} y1={17} y2={17} stroke={p.rule} strokeWidth={1} />
        {Array.from({ length: Math.floor(most / 7) + 1 }, (_, week) => (
          <Line key={week} x1={x(week * 7)} x2={x(week * 7)} y1={12} y2={22} stroke={p.inkSoft} />
        ))}
        <Rect
          x={x(count.low)}
          y={7}
          width={Math.max(4, x(count.high) - x(count.low))}
          height={20}
          rx={10}
          fill={p.mossWash}
          stroke={p.moss}
          strokeDasharray="3 2"
        />
        <Line x1={x(count.middle)} x2={x(count.middle)} y1={4} y2={30} stroke={p.moss} strokeWidth={3} />
      </Svg>
      <Words kind="small" soft>
        From today; a stroke a week. Eight in ten such queens fall within the band.
      </Words>
    </View>
  );
}

function Milestones({
  shown,
  outlook,
  later,
  now,
}: {
  shown: ShownQueen;
  outlook: Outlook;
  later: LaterOutlook;
  now: Date;
}) {
  const { ledger } = shown.view;
  const { secondBatch, byWinter } = later;
  const second = ledger.batches[1]?.eggs;
  const castes = Object.entries(ledger.castes).flatMap(([caste, known]) =>
    known?.first.by
      ? [
          {
            name: `First ${CASTE_WORDS[caste as Caste]}`,
            said: intervalText(known.first),
            done: true,
          },
        ]
      : [],
  );
  const lines = [
    ...(ledger.intake ? [{ name: 'Taken in', said: dayText(ledger.intake.at, now), done: true }] : []),
    ...OUTLOOK_EVENTS.map((e) => {
      const { status, band } = outlook.events[e];
      const seen = status === 'seen' && e !== 'firstBatchEnd';
      return {
        name: EVENT_TITLES[e],
        said: seen ? `seen ${intervalText(seenBetween(shown.view, e))}` : bandText(band, now),
        done: seen,
      };
    }),
    {
      name: 'Second batch laid',
      said: second ? `seen ${intervalText(second)}` : bandText(secondBatch.eggs, now),
      done: second !== undefined && second !== null,
    },
    { name: 'Its first workers', said: bandText(secondBatch.workers, now), done: false },
    ...(byWinter
      ? [
          {
            name: `By winter, ${dayText(byWinter.on, now)}`,
            said: workersText(byWinter.workers),
            done: false,
          },
        ]
      : []),
    ...castes,
    ...(ledger.deadWorkers.low > 0
      ? [{ name: 'Workers found dead', said: countText(ledger.deadWorkers), done: true }]
      : []),
    ...quietest(
      ledger.disturbances.map((d) => d.at),
      now,
    ),
  ];
  return (
    <View role="list" style={styles.list}>
      {lines.map((l) => (
        <MilestoneLine key={l.name} {...l} />
      ))}
    </View>
  );
}

/** The longest time that she has been left in peace: something to be proud of. */
function quietest(at: Instant[], now: Date) {
  const times = [...at.map((a) => Date.parse(a)), now.getTime()];
  const gaps = times.slice(1).map((t, i) => t - (times[i] as number));
  if (gaps.length === 0) return [];
  const days = Math.floor(Math.max(...gaps) / DAY_MS);
  return days < 3 ? [] : [{ name: 'Longest left in peace', said: `${days} days`, done: true }];
}

function MilestoneLine({ name, said, done }: { name: string; said: string; done: boolean }) {
  const p = useBurrow();
  return (
    <View role="listitem" style={styles.line}>
      <View
        style={[
          styles.dot,
          { borderColor: p.moss, backgroundColor: done ? p.moss : 'transparent' },
          done ? null : styles.dashed,
        ]}
      />
      <Words kind={done ? 'bold' : 'body'} style={styles.name}>
        {name}
      </Words>
      <Words kind="small" soft={!done}>
        {said}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  picture: { gap: SPACE.xs },
  frame: { borderWidth: 2, borderStyle: 'dashed', borderRadius: 8, overflow: 'hidden' },
  stamp: {
    position: 'absolute',
    right: SPACE.s,
    top: SPACE.s,
    borderWidth: 1,
    borderRadius: 4,
    paddingHorizontal: SPACE.s,
  },
  countdown: { gap: SPACE.xs },
  list: { gap: SPACE.s },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, flexWrap: 'wrap' },
  dot: { width: 14, height: 14, borderRadius: 7, borderWidth: 2 },
  dashed: { borderStyle: 'dashed' },
  name: { flexGrow: 1 },
});
