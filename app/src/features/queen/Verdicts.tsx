import type { Criterion, Entry, Verdict } from '@gentle-burrow/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Said } from '@/ui/Said';
import { Words } from '@/ui/Words';

interface VerdictsProps {
  verdicts: readonly Verdict[];
  entries: readonly Entry[];
  queenId: string;
}

/** Each question with its answer; opened, it shows why, how sure, who says so, and what others would say. */
export function Verdicts({ verdicts, entries, queenId }: VerdictsProps) {
  const [open, setOpen] = useState<string | null>(verdicts[0]?.id ?? null);
  return (
    <View style={styles.list}>
      {verdicts.map((v) => (
        <OneVerdict
          key={`${queenId}-${v.id}`}
          verdict={v}
          entries={entries}
          open={open === v.id}
          onToggle={() => setOpen(open === v.id ? null : v.id)}
        />
      ))}
    </View>
  );
}

interface OneVerdictProps {
  verdict: Verdict;
  entries: readonly Entry[];
  open: boolean;
  onToggle(): void;
}

function OneVerdict({ verdict, entries, open, onToggle }: OneVerdictProps) {
  const p = useBurrow();
  const color = { now: p.clay, soon: p.amber, free: p.moss, rest: p.moss }[verdict.pressure];
  return (
    <View style={[styles.verdict, { borderColor: p.rule, backgroundColor: p.sheet }]}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${verdict.question} ${verdict.answer}`}
        onPress={onToggle}
        style={styles.head}
      >
        <View style={styles.question}>
          <Words kind="bold">{verdict.question}</Words>
        </View>
        <Words kind="bold" color={color}>
          {verdict.answer}
        </Words>
        <Icon source={open ? 'chevron-up' : 'chevron-down'} size={22} color={p.inkSoft} />
      </Pressable>
      {open ? (
        <View style={styles.body}>
          <Said phrase={verdict.says} />
          {verdict.criteria.map((c) => (
            <Reason key={c.id} criterion={c} entries={entries} />
          ))}
          {verdict.others.length > 0 ? (
            <View style={[styles.others, { borderTopColor: p.rule }]}>
              <Words kind="smallBold" soft>
                {verdict.school
                  ? `This is the school “${verdict.school}”. Others would say:`
                  : 'Others would say:'}
              </Words>
              {verdict.others.map((o) => (
                <Words kind="small" key={o.school}>
                  {`${o.name}: ${o.answer}${o.until ? ` until ${dayText(o.until)}` : ''}.`}
                </Words>
              ))}
            </View>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

const STATES = {
  met: { icon: 'check-circle-outline', word: 'met' },
  unmet: { icon: 'close-circle-outline', word: 'not met' },
  unknown: { icon: 'help-circle-outline', word: 'not known' },
} as const;

function Reason({ criterion, entries }: { criterion: Criterion; entries: readonly Entry[] }) {
  const p = useBurrow();
  const state = STATES[criterion.state];
  const color = { met: p.moss, unmet: p.amber, unknown: p.inkSoft }[criterion.state];
  const evidence = criterion.evidence.flatMap((id) => {
    const e = entries.find((x) => x.id === id);
    return e ? [`${e.kind} of ${dayText(e.at)}`] : [];
  });
  return (
    <View style={styles.reason}>
      <View role="img" aria-label={state.word}>
        <Icon source={state.icon} size={20} color={color} />
      </View>
      <View style={styles.reasonWords}>
        <Said phrase={criterion.says} />
        <Words kind="small" soft>
          {[
            marginText(criterion),
            evidence.length > 0 ? `from the ${evidence.join(' and the ')}` : null,
            criterion.source,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Words>
        {criterion.state === 'unknown' && criterion.settles ? (
          <Words kind="small">{`Would settle it: ${criterion.settles}`}</Words>
        ) : null}
      </View>
    </View>
  );
}

function marginText({ margin, state }: Criterion): string | null {
  if (!margin || state === 'unknown') return null;
  const size = Math.abs(margin.value);
  const side = margin.value >= 0 ? 'to spare' : 'short';
  if (margin.unit === 'days') return `${size < 1 ? 'less than a day' : `${Math.round(size)} days`} ${side}`;
  if (margin.unit === '°C') return `${Math.round(size * 10) / 10} degrees ${side}`;
  return `${Math.round(size * 100)} points ${side}`;
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  verdict: { borderWidth: 1, borderRadius: 4 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.s,
    minHeight: TARGET,
    paddingHorizontal: SPACE.m,
    paddingVertical: SPACE.s,
  },
  question: { flex: 1 },
  body: { paddingHorizontal: SPACE.m, paddingBottom: SPACE.m, gap: SPACE.m },
  others: { borderTopWidth: 1, paddingTop: SPACE.s, gap: SPACE.xs },
  reason: { flexDirection: 'row', gap: SPACE.s },
  reasonWords: { flex: 1, gap: 2 },
});
