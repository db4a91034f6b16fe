import { useState } from 'react';
import { Text } from 'react-native';
import { useBurrow } from '@/theme/theme';
import { termAddress, withTerms, type Term } from '@/words/glossary';
import { Button } from './Button';
import { Pop } from './Pop';
import { go } from './way';
import { Words, type WordsProps } from './Words';

/** A sentence whose trade words can be asked about: each opens its meaning over the page. */
export function Told({ children, ...rest }: Omit<WordsProps, 'children'> & { children: string }) {
  const p = useBurrow();
  const [asked, setAsked] = useState<Term | null>(null);
  return (
    <>
      <Words {...rest}>
        {withTerms(children).map(({ text, term }) =>
          term ? (
            <Text
              key={text}
              role="button"
              {...onKeys(() => setAsked(term))}
              aria-label={`${text}: what is that?`}
              onPress={() => setAsked(term)}
              style={[DOTTED, { textDecorationColor: p.inkSoft }]}
            >
              {text}
            </Text>
          ) : (
            text
          ),
        )}
      </Words>
      {asked ? (
        <Pop title={asked.word} onClose={() => setAsked(null)}>
          <Words>{asked.says}</Words>
          <Button
            mode="text"
            style={{ alignSelf: 'flex-start' }}
            onPress={() => {
              setAsked(null);
              go(termAddress(asked));
            }}
          >
            All words
          </Button>
        </Pop>
      ) : null}
    </>
  );
}

/** Text in a line is no control by itself: it answers to Enter and Space here. */
const onKeys = (press: () => void): object => ({
  tabIndex: 0,
  onKeyDown: (e: KeyboardEvent) => {
    if (e.key !== 'Enter' && e.key !== ' ') return;
    e.preventDefault();
    press();
  },
});

/** No target is less than 24 px high, and as little higher as the lines allow. */
const DOTTED = {
  textDecorationLine: 'underline',
  textDecorationStyle: 'dotted',
  cursor: 'help',
  paddingVertical: 1,
  paddingHorizontal: 3,
  marginHorizontal: -3,
} as object;
