import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { TextField } from '@/ui/fields';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { GLOSSARY } from '@/words/glossary';

/** What does this word mean? Every trade word in plain English; the one that was asked for first. */
export function GlossaryPage({ word }: { word: string | null }) {
  const p = useBurrow();
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const shown = GLOSSARY.filter((t) =>
    [t.word, ...(t.also ?? []), t.says].join(' ').toLowerCase().includes(wanted),
  );
  const ordered = [...shown].sort(
    (a, b) => Number(b.word === word) - Number(a.word === word) || a.word.localeCompare(b.word),
  );
  return (
    <Screen question="What does this word mean?" back="/records">
      <TextField label="Search" value={search} onChange={setSearch} />
      <View role="list">
        {ordered.map((t) => (
          <View
            key={t.word}
            role="listitem"
            style={[
              styles.term,
              { borderBottomColor: p.rule },
              t.word === word ? { backgroundColor: p.mossWash } : null,
            ]}
          >
            <Words kind="heading">{t.word}</Words>
            <Words>{t.says}</Words>
            {t.also ? <Words kind="small" soft>{`Also: ${t.also.join(', ')}`}</Words> : null}
          </View>
        ))}
      </View>
      <View role="status">
        {ordered.length === 0 ? <Words>{`No word is found by “${search}”.`}</Words> : null}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({ term: { paddingVertical: SPACE.s, borderBottomWidth: 1, gap: 2 } });
