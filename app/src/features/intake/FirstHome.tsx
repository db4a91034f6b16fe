import type { Place } from '@gentle-burrow/core/facts';
import {
  disturbancesPerMonth,
  FIRST_HOME_KINDS,
  FIRST_HOMES,
  firstBody,
  nounOf,
  wetting,
} from '@gentle-burrow/core/housing';
import { reservoirDays } from '@gentle-burrow/core/tube';
import { ROOM_WARM_C } from '@gentle-burrow/core/warmth';
import { useFormContext } from 'react-hook-form';
import { v7 } from 'uuid';
import { attempt } from '@/features/fill/FillRows';
import { daysRange } from '@/features/fill/days-range';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { Table } from '@/ui/Table';
import { Words } from '@/ui/Words';
import { capital } from '@gentle-burrow/core/words';
import type { QueenForm } from './queen-form';
import { SAMPLE_TUBE } from './tubes';

const KINDS = (['tube', ...FIRST_HOME_KINDS] as const).map((kind) => ({
  value: kind,
  label: capital(nounOf({ kind })),
}));

/** What she founds in: a tube, or what there is when there is none, side by side by what their water asks of the keeper. */
export function FirstHome({ places }: { places: readonly Place[] }) {
  const { watch, setValue } = useFormContext<QueenForm>();
  const form = watch();
  const place = places.find((p) => p.id === form.placeId);
  const choose = (kind: QueenForm['homeKind']) => {
    setValue('homeKind', kind);
    if (kind !== 'tube' && form.body?.kind !== kind) setValue('body', firstBody(v7(), kind));
  };
  return (
    <>
      <Choice label="What does she found in?" options={KINDS} value={form.homeKind} onChange={choose} />
      {form.homeKind === 'tube' ? null : (
        <Words kind="small">
          A tube is kinder where you have one: its water needs no hand for months. What is wetted by hand is
          opened or jolted each time.
        </Words>
      )}
      <Fold title="Side by side: how long water lasts">
        <SideBySide
          room={{
            tempC: place?.tempC ?? ROOM_WARM_C,
            roomRelHumidity: place?.roomRelHumidity ?? form.roomRelHumidity,
          }}
        />
      </Fold>
    </>
  );
}

function SideBySide({ room }: { room: { tempC: number; roomRelHumidity: number } }) {
  const now = new Date().toISOString();
  const { waterLineMm, plugs } = SAMPLE_TUBE;
  const tubeDays = attempt(() => reservoirDays(SAMPLE_TUBE, waterLineMm, { ...room, plugs }));
  const rows = FIRST_HOMES.flatMap(({ name, part }) => {
    const wet = wetting(part, room, now);
    return wet && Number.isFinite(wet.everyDays.p50)
      ? [
          [
            name,
            `every ${daysRange(wet.everyDays.p10, wet.everyDays.p90)}`,
            `${Math.max(1, Math.round(disturbancesPerMonth(wet)))} a month`,
          ],
        ]
      : [];
  });
  return (
    <>
      <Table
        label="First homes side by side"
        head={['Home', 'Wetted', 'Disturbed']}
        rows={[
          [
            'Tube',
            typeof tubeDays === 'number' && Number.isFinite(tubeDays)
              ? `lasts about ${Math.round(tubeDays / 30)} months`
              : 'lasts for years',
            'none',
          ],
          ...rows,
        ]}
      />
      <Words kind="small" soft>
        Of usual size, in the room she will stand in. What each has to spend is our own prior, set by common
        practice; your own waterings put it right.
      </Words>
    </>
  );
}
