import type { Verdict } from '@gentle-burrow/core/care';
import type { Entry } from '@gentle-burrow/core/log';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { usePreferences } from '@/theme/preferences';
import { useBurrow } from '@/theme/theme';
import { SPACE, TARGET } from '@/theme/tokens';
import { dayText } from '@/ui/dates';
import { Reason } from '@/ui/Reason';
import { phraseText } from '@/ui/Said';
import { Told } from '@/ui/Told';
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
  const units = usePreferences();
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
          <Told>{phraseText(verdict.says, units)}</Told>
          {verdict.criteria.map((c) => (
            <Reason key={c.id} criterion={c} entries={entries} />
          ))}
          {verdict.others.length > 0 ? (
            <View style={[styles.others, { borderTopColor: p.rule }]}>
              <Words kind="smallBold" soft>
                {verdict.school
                  ? `This is the method “${verdict.school}”. Others would say:`
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
});
