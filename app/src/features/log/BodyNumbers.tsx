import { portCaution, widthFault, type Heads } from '@gentle-burrow/core/care';
import { bodyPartSchema, type BodyPart } from '@gentle-burrow/core/facts';
import { MATERIALS, WATER_SOURCES } from '@gentle-burrow/core/vocabulary';
import { StyleSheet, View } from 'react-native';
import { usePreferences } from '@/theme/preferences';
import { SPACE } from '@/theme/tokens';
import { Choice, optionsOf } from '@/ui/Choice';
import { Fault, NumberField, TextField } from '@/ui/fields';
import { Fold } from '@/ui/Fold';
import { fineFromMm, fromMm, inUnits, toMm } from '@/ui/units';
import { Words } from '@/ui/Words';
import { MATERIAL_WORDS, WATER_WORDS } from '@/words/home';

const SHAPES = [
  { value: 'square', label: 'With corners' },
  { value: 'round', label: 'Round' },
] as const;
const WATERS = optionsOf(WATER_SOURCES, WATER_WORDS);
const STUFF = optionsOf(MATERIALS, MATERIAL_WORDS);

interface BodyNumbersProps {
  part: BodyPart;
  /** Her kind, by whose smallest worker a mesh is judged; undefined while it is not known. */
  heads: Heads | undefined;
  onChange(part: BodyPart): void;
}

/** What is measured of a part that is no tube: its floor first, then what is only sometimes known. */
export function BodyNumbers({ part, heads, onChange }: BodyNumbersProps) {
  const units = usePreferences();
  const { length } = units;
  const wide = heads && widthFault(heads, part.meshMm);
  const ports = heads && portCaution(heads, part.ports[0]?.boreMm);
  const set = (next: Partial<BodyPart>) => onChange({ ...part, ...next });
  const mm = (v: number | null): number => (v === null ? NaN : toMm(v, length));
  const shown = (value: number, fine = false): number | null =>
    Number.isFinite(value) ? (fine ? fineFromMm(value, length) : fromMm(value, length)) : null;
  const fault = bodyPartSchema.safeParse(part).error?.issues[0]?.message;
  return (
    <>
      {part.kind === 'drinker' ? null : (
        <Choice
          label="Shape from above"
          options={SHAPES}
          value={part.round ? 'round' : 'square'}
          onChange={(v) => set(v === 'round' ? { round: true, depthMm: part.widthMm } : { round: false })}
        />
      )}
      <View style={styles.row}>
        {part.round ? (
          <NumberField
            label="Diameter inside"
            unit={length}
            value={shown(part.widthMm)}
            onChange={(v) => set({ widthMm: mm(v), depthMm: mm(v) })}
          />
        ) : (
          <>
            <NumberField
              label="Width inside"
              unit={length}
              value={shown(part.widthMm)}
              onChange={(v) => set({ widthMm: mm(v) })}
            />
            <NumberField
              label="Depth inside"
              unit={length}
              value={shown(part.depthMm)}
              onChange={(v) => set({ depthMm: mm(v) })}
            />
          </>
        )}
        <NumberField
          label={part.kind === 'drinker' ? 'Length' : 'Height inside'}
          unit={length}
          value={shown(part.heightMm)}
          onChange={(v) => set({ heightMm: mm(v) })}
        />
        {part.kind === 'nest' ? (
          <NumberField
            label="Rooms that can be shut"
            value={shownWhole(part.rooms)}
            onChange={(v) => set({ rooms: v ?? NaN })}
          />
        ) : null}
      </View>
      {part.kind === 'drinker' ? null : (
        <Choice label="Its water" options={WATERS} value={part.water} onChange={(water) => set({ water })} />
      )}
      <Fold title="Doors, mesh, material, name">
        <View style={styles.row}>
          <NumberField
            label="Ports"
            value={part.ports.length}
            onChange={(v) => set({ ports: portsOf(part, v ?? 0) })}
          />
          {part.ports.length > 0 ? (
            <NumberField
              label="Bore of a port"
              unit={length}
              value={shown(part.ports[0]?.boreMm ?? NaN, true)}
              onChange={(v) => set({ ports: part.ports.map((port) => ({ ...port, boreMm: mm(v) })) })}
            />
          ) : null}
          <NumberField
            label="Opening of its mesh"
            unit={length}
            value={part.meshMm === null ? null : shown(part.meshMm, true)}
            onChange={(v) => set({ meshMm: v === null ? null : mm(v) })}
            {...(wide ? { fault: wide } : {})}
          />
          <NumberField
            label="Water it takes, if measured"
            unit="ml"
            value={part.waterMl ?? null}
            onChange={(v) => onChange(withWater(part, v))}
          />
        </View>
        {ports ? (
          <Words kind="small" soft>
            {inUnits(ports, units)}
          </Words>
        ) : null}
        <Choice
          label="Material"
          options={STUFF}
          value={part.material}
          onChange={(material) => set({ material })}
        />
        <TextField
          label="Your name for it, if it has one"
          value={part.name ?? ''}
          onChange={(name) => onChange(named(part, name))}
        />
      </Fold>
      <Fault>{fault}</Fault>
    </>
  );
}

const shownWhole = (n: number): number | null => (Number.isFinite(n) ? n : null);

/** As many ports as were said, all like the first. */
const portsOf = (part: BodyPart, n: number): BodyPart['ports'] =>
  Array.from({ length: Math.max(0, Math.min(12, Math.round(n))) }, () => part.ports[0] ?? { boreMm: 12 });

function withWater({ waterMl: _, ...part }: BodyPart, ml: number | null): BodyPart {
  return ml === null ? part : { ...part, waterMl: ml };
}

function named({ name: _, ...part }: BodyPart, name: string): BodyPart {
  return name === '' ? part : { ...part, name };
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
