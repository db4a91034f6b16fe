import {
  COLOURS,
  hemisphereOf,
  narrowed,
  REGIONS,
  type KindCard,
  type Seen,
  type Trait,
} from '@gentle-burrow/core/species';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useSettings } from '@/data/queries';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf } from '@/ui/Choice';
import { NumberField } from '@/ui/fields';
import { fineFromMm, toMm } from '@/ui/units';
import { Caution } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { COLOUR_WORDS, MONTHS } from '@/words/kind';
import { ShapeChoice } from './ShapeChoice';

const REGION_OPTIONS = REGIONS.map((value) => ({ value, label: value }));
const COLOUR_OPTIONS = optionsOf(COLOURS, COLOUR_WORDS);
const WAIST_OPTIONS = [
  { value: 'one node', label: 'One node', hint: 'a single scale or bump' },
  { value: 'two nodes', label: 'Two nodes', hint: 'two bumps, one behind the other' },
] as const;
const MONTH_OPTIONS = MONTHS.map((label, i) => ({ value: String(i + 1), label }));

const NEXT: Record<Trait, string> = {
  region: 'say where she was found',
  northMonth: 'say in which month she flew',
  queenMm: 'hold a ruler beside her',
  waist: 'look at her waist from the side',
  colour: 'say what colour she is',
  shape: 'say what shape she is',
};

interface KindKeyProps {
  kinds: readonly KindCard[];
  seen: Seen;
  onChange(change: Partial<Seen>): void;
}

/** A short key: what is seen of her without a lens, and how far that narrows the list. */
export function KindKey({ kinds, seen, onChange }: KindKeyProps) {
  const { left, of, next } = useMemo(() => narrowed(kinds, seen), [kinds, seen]);
  const { length } = usePreferences();
  const { hemisphere } = useSettings();
  const sideOf = (region: Seen['region']) => (region ? hemisphereOf(region, hemisphere) : hemisphere);
  const side = sideOf(seen.region);
  // on the other side of the equator the same flight is half a year away
  const halfAYear = (month: number) => ((month + 5) % 12) + 1;
  const turned = (month: number) => (side === 'south' ? halfAYear(month) : month);
  // whichever side of the equator is chosen, the month stays the one that was tapped
  const from = (region: Seen['region']) => ({
    region,
    northMonth:
      seen.northMonth !== null && sideOf(region) !== side ? halfAYear(seen.northMonth) : seen.northMonth,
  });
  return (
    <View style={styles.key}>
      <View role="status" aria-live="polite">
        <Words kind="bold">{`${left.length} of ${of} species are left.`}</Words>
        <Words kind="small" soft>
          {left.length === 0
            ? 'No species of the list is like that. Take one answer back, or take what is nearest: a genus, or “unknown”.'
            : next
              ? `What would narrow it most: ${NEXT[next]}.`
              : 'Nothing more here would tell them apart: that takes a lens, or somebody who knows them.'}
        </Words>
      </View>
      <View style={styles.row}>
        <NumberField
          label="Her length without legs"
          unit={length}
          value={seen.queenMm === null ? null : fineFromMm(seen.queenMm, length)}
          onChange={(v) => onChange({ queenMm: v === null || v <= 0 ? null : toMm(v, length) })}
        />
      </View>
      <Choice
        label="Her waist, seen from the side"
        options={WAIST_OPTIONS}
        value={seen.waist}
        onChange={(waist) => onChange({ waist })}
        onClear={() => onChange({ waist: null })}
      />
      <Choice
        label="Her colour"
        options={COLOUR_OPTIONS}
        value={seen.colour}
        onChange={(colour) => onChange({ colour })}
        onClear={() => onChange({ colour: null })}
      />
      <Words kind="smallBold" soft>
        Her shape
      </Words>
      <ShapeChoice value={seen.shape} onChange={(shape) => onChange({ shape })} />
      <Choice
        label="Month of her flight"
        options={MONTH_OPTIONS}
        value={seen.northMonth === null ? null : String(turned(seen.northMonth))}
        onChange={(m) => onChange({ northMonth: turned(Number(m)) })}
        onClear={() => onChange({ northMonth: null })}
      />
      <Choice
        label="Where she was caught"
        options={REGION_OPTIONS}
        value={seen.region}
        onChange={(region) => onChange(from(region))}
        onClear={() => onChange(from(null))}
      />
      <Caution>
        <Words kind="small">
          A key helps; it is never certain. Sisters look alike, and many kinds are not in the list. Held too
          long for a look, she is disturbed: a photo through the glass tells as much.
        </Words>
      </Caution>
    </View>
  );
}

const styles = StyleSheet.create({ key: { gap: SPACE.m }, row: { flexDirection: 'row' } });
