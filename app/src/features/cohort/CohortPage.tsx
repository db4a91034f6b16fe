import { LOOKING_SCHOOLS } from '@gentle-burrow/core/care';
import { compare, LEAST_N, type CohortGroup } from '@gentle-burrow/core/cohort';
import { daysBetween } from '@gentle-burrow/core/quantity';
import type { ShelfRow } from '@gentle-burrow/core/view';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useSettings, useShelf, useSpecies } from '@/data/queries';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { Screen } from '@/ui/Screen';
import { Failed, Loading } from '@/ui/states';
import { Sheet } from '@/ui/Sheet';
import { Table } from '@/ui/Table';
import { useWidth } from '@/ui/useWidth';
import { Words } from '@/ui/Words';
import { Curves } from './Curves';

const BY = [
  { value: 'species', label: 'Species' },
  { value: 'batch', label: 'Batch' },
  { value: 'place', label: 'Place' },
  { value: 'school', label: 'Method of looking' },
  { value: 'all', label: 'All together' },
] as const;
type By = (typeof BY)[number]['value'];

/** What do my queens show so far? Survival and the way to workers, with no ranking that the data do not carry. */
export function CohortPage() {
  const shelf = useShelf();
  const species = useSpecies();
  const settings = useSettings();
  const [by, setBy] = useState<By>('species');
  const [width, onLayout] = useWidth();
  const rows = shelf.data;
  const shown = useMemo(() => {
    if (!rows) return null;
    const nameOf = (r: ShelfRow): string => {
      const school = r.queen.lookingSchool ?? settings.lookingSchool;
      switch (by) {
        case 'species':
          return species.find((s) => s.id === r.profileId)?.name ?? 'Unknown';
        case 'batch':
          return r.queen.batch || 'no batch';
        case 'place':
          return r.placeName;
        case 'school':
          return LOOKING_SCHOOLS.find((s) => s.id === school)?.name ?? school;
        case 'all':
          return 'All queens';
      }
    };
    const lives = rows.flatMap((r) => (r.life ? [{ group: nameOf(r), life: r.life }] : []));
    const now = new Date().toISOString();
    const days = Math.max(30, ...lives.map((l) => daysBetween(l.life.from, now)));
    return { ...compare(lives, now), days };
  }, [rows, by, species, settings]);
  return (
    <Screen question="What do my queens show so far?" back="/records">
      {shelf.loading ? <Loading what="the shelf" /> : null}
      {shelf.error ? <Failed error={shelf.error} onRetry={shelf.retry} /> : null}
      <Choice label="Compared by" options={BY} value={by} onChange={(v) => setBy(v)} />
      {shown ? (
        <>
          <Words kind="answer">
            {shown.groups.length === 0 ? 'No queen has been taken in yet.' : shown.says}
          </Words>
          <View onLayout={onLayout} />
          {shown.groups.filter(isDrawn).map((g) => (
            <Sheet tight key={g.name}>
              <Words kind="heading" level={2}>
                {g.name}
              </Words>
              <Words kind="small">{groupWords(g)}</Words>
              <Curves group={g} width={width} days={shown.days} />
              <Fold title="As a table">
                <Table
                  label={`Share of ${g.name} alive, by day`}
                  head={['After day', 'Alive', '95 % interval']}
                  rows={g.survival.map((s) => [
                    String(s.time),
                    `${percent(s.survival)} %`,
                    `${percent(s.low)} to ${percent(s.high)} %`,
                  ])}
                />
              </Fold>
            </Sheet>
          ))}
          <Few groups={shown.groups.filter((g) => !isDrawn(g))} />
          {shown.groups.some(isDrawn) ? (
            <Words kind="small" soft>
              Solid: alive (Kaplan and Meier; dotted, their 95 % interval). Dashed: still without workers
              (Turnbull, from looks as intervals; a slope where it is not known when). Escaped, given away,
              joined and infertile queens count as alive until then. Queens bought with workers are left out.
            </Words>
          ) : null}
        </>
      ) : null}
    </Screen>
  );
}

/** A share is told, and a curve drawn, of as many as may be compared. */
const isDrawn = (g: CohortGroup): boolean => g.n >= LEAST_N;

/** Groups too small for a share, a line each: equal charts of one queen each would say nothing. */
function Few({ groups }: { groups: readonly CohortGroup[] }) {
  if (groups.length === 0) return null;
  return (
    <Sheet tight>
      <Words kind="heading" level={2}>
        Too few for a share
      </Words>
      <Table
        label="Groups too few for a share"
        head={['Group', 'Queens', 'Died', 'With workers']}
        rows={groups.map((g) => [g.name, String(g.n), String(g.died), String(g.founded)])}
      />
    </Sheet>
  );
}

const percent = (share: number): number => Math.round(100 * share);

function groupWords(g: CohortGroup): string {
  const last = g.survival[g.survival.length - 1];
  return [
    `${g.n} queens, ${g.died} died`,
    last &&
      `${percent(last.survival)} % alive after day ${last.time} (${percent(last.low)} to ${percent(last.high)})`,
    `${g.founded} seen with workers`,
    g.medianDays !== null ? `half of them by about day ${Math.round(g.medianDays)}` : null,
  ]
    .filter(Boolean)
    .join(' · ');
}
