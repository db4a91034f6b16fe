import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { SPACE } from '@/theme/tokens';
import { TextField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { GLOSSARY, type Term } from '@/words/glossary';

/** The words are folded by where they stand in the alphabet. */
const PARTS = ['a–c', 'd–l', 'm–q', 'r–z'] as const;
const isIn = (part: string, { word }: Term): boolean =>
  part.charAt(0) <= word.charAt(0) && word.charAt(0) <= part.charAt(2);

const ALL = [...GLOSSARY].sort((a, b) => a.word.localeCompare(b.word));

/** What does this word mean? Every trade word in plain English; the one that was asked for first. */
export function GlossaryPage({ word }: { word: string | null }) {
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const found = ALL.filter((t) =>
    [t.word, ...(t.also ?? []), t.says].join(' ').toLowerCase().includes(wanted),
  );
  const asked = GLOSSARY.find((t) => t.word === word);
  return (
    <Screen question="What does this word mean?" back="/records">
      {asked ? <Terms terms={[asked]} /> : null}
      <TextField label="Search" value={search} onChange={setSearch} />
      {wanted === '' ? (
        PARTS.map((part) => (
          <Fold key={part} title={part.toUpperCase()}>
            <Terms terms={ALL.filter((t) => isIn(part, t))} />
          </Fold>
        ))
      ) : (
        <Terms terms={found} />
      )}
      <View role="status">
        {found.length === 0 ? <Words>{`No word is found by “${search}”.`}</Words> : null}
      </View>
    </Screen>
  );
}

function Terms({ terms }: { terms: readonly Term[] }) {
  const p = useBurrow();
  return (
    <View role="list">
      {terms.map((t) => (
        <View key={t.word} role="listitem" style={[styles.term, { borderBottomColor: p.rule }]}>
          <Words kind="heading">{t.word}</Words>
          <Words>{t.says}</Words>
          {t.also ? <Words kind="small" soft>{`Also: ${t.also.join(', ')}`}</Words> : null}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ term: { paddingVertical: SPACE.s, borderBottomWidth: 1, gap: 2 } });
