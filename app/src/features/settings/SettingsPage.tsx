import {
  LIGHT_SCHOOLS,
  LOOKING_SCHOOLS,
  nestSchoolsFor,
  PATIENCE_SCHOOLS,
  SPACE_SCHOOLS,
} from '@gentle-burrow/core/care';
import type { KeeperSettings } from '@gentle-burrow/core/facts';
import { put } from '@/data/outbox';
import { useSettings, useSettingsKnown } from '@/data/queries';
import { setPreferences, usePreferences } from '@/theme/preferences';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { Screen } from '@/ui/Screen';
import { Sheet } from '@/ui/Sheet';
import { Loading } from '@/ui/states';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';

const APPEARANCES = [
  { value: 'auto', label: 'As the device' },
  { value: 'paper', label: 'Paper' },
  { value: 'night', label: 'Dark' },
  { value: 'red', label: 'Red light', hint: 'for looks at night' },
] as const;
const TEMPERATURES = [
  { value: 'C', label: '°C' },
  { value: 'F', label: '°F' },
] as const;
const LENGTHS = [
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'inches' },
] as const;
const HEMISPHERES = [
  { value: 'north', label: 'Northern' },
  { value: 'south', label: 'Southern' },
] as const;

const DEVICE = 'device';
/** That of the device, and the one that is set when it is another: a keeper has one home. */
function zones(set: string | null): { value: string; label: string; hint?: string }[] {
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return [
    { value: DEVICE, label: 'As the device', hint: here.replace(/_/g, ' ') },
    { value: here, label: `Always ${here.replace(/_/g, ' ')}`, hint: 'also when travelling' },
    ...(set && set !== here ? [{ value: set, label: `Always ${set.replace(/_/g, ' ')}` }] : []),
  ];
}

/** Shown once what was decided before is known, so that one choice does not undo the others. */
export function SettingsPage() {
  const known = useSettingsKnown();
  return (
    <Screen question="How do you keep them?" back="/records">
      {known ? <Decisions /> : <Loading what="your settings" />}
    </Screen>
  );
}

function Decisions() {
  const settings = useSettings();
  const preferences = usePreferences();
  const decide = (change: Partial<KeeperSettings>) =>
    void put({ what: 'settings', settings: { ...settings, ...change } });
  return (
    <>
      <Choice
        label="Your method of looking"
        options={LOOKING_SCHOOLS.map((s) => ({ value: s.id, label: s.name, hint: s.says }))}
        value={settings.lookingSchool}
        onChange={(lookingSchool) => decide({ lookingSchool })}
      />
      <Words kind="small" soft>
        Keepers disagree, and no method is proven best. Each answer shows which method speaks and what the
        others would say.
      </Words>
      <Choice
        label="When a foraging space is given"
        options={SPACE_SCHOOLS.filter((s) => s.id !== 'from-the-start').map((s) => ({
          value: s.id,
          label: s.name,
          hint: s.says,
        }))}
        value={settings.spaceSchool}
        onChange={(spaceSchool) => decide({ spaceSchool })}
      />
      <Words kind="small" soft>
        A queen that must eat gets one from the start, whatever is chosen here.
      </Words>
      <Choice
        label="When a nest is given"
        options={nestSchoolsFor(null).map((s) => ({ value: s.id, label: s.name, hint: s.says }))}
        value={settings.nestSchool}
        onChange={(nestSchool) => decide({ nestSchool })}
      />
      <Fold title="Moving house">
        <Choice
          label="When the old home is lit in a move"
          options={LIGHT_SCHOOLS.map((s) => ({ value: s.id, label: s.name, hint: s.says }))}
          value={settings.lightSchool}
          onChange={(lightSchool) => decide({ lightSchool })}
        />
        <Choice
          label="How long each step of a move is given"
          options={PATIENCE_SCHOOLS.map((s) => ({ value: s.id, label: s.name, hint: s.says }))}
          value={settings.patienceSchool}
          onChange={(patienceSchool) => decide({ patienceSchool })}
        />
        <Words kind="small" soft>
          Mould at the brood shortens both to days. A colony can have methods of its own: open “Why” on its
          page.
        </Words>
      </Fold>
      <Choice
        label="Your time zone, for days and dates"
        options={zones(settings.zone)}
        value={settings.zone ?? DEVICE}
        onChange={(zone) => decide({ zone: zone === DEVICE ? null : zone })}
      />
      <Choice
        label="Half of the earth, for the seasons"
        options={HEMISPHERES}
        value={settings.hemisphere}
        onChange={(hemisphere) => decide({ hemisphere })}
      />
      <Tick
        label="Learn from my own queens"
        on={settings.learn}
        onPress={() => decide({ learn: !settings.learn })}
      />
      <Words kind="small" soft>
        Stages that your queens have finished move what is expected of others of their kind. Each page says
        from how many.
      </Words>
      <Sheet>
        <Words kind="heading" level={2}>
          On this device
        </Words>
        <Choice
          label="Appearance"
          options={APPEARANCES}
          value={preferences.appearance}
          onChange={(appearance) => setPreferences({ appearance })}
        />
        <Words kind="small" soft>
          Ants see red light poorly (common practice, no source).
        </Words>
        <Choice
          label="Temperature"
          options={TEMPERATURES}
          value={preferences.temperature}
          onChange={(temperature) => setPreferences({ temperature })}
        />
        <Choice
          label="Length"
          options={LENGTHS}
          value={preferences.length}
          onChange={(length) => setPreferences({ length })}
        />
      </Sheet>
    </>
  );
}
