import { effectiveEntries } from '@gentle-burrow/core/log';
import type { Instant } from '@gentle-burrow/core/quantity';
import { MILESTONES } from '@gentle-burrow/core/species';
import type { ShownQueen } from '@/data/queries';
import { HomePicture } from '@/features/home/HomePicture';
import { PartDrawing } from '@/features/home/PartDrawing';
import { layoutOf } from '@/features/home/layout';
import { bodyOf } from '@/features/log/body-of';
import { entryWords, kindTitle, type Names } from '@/features/log/kind-views';
import { wholeMm } from '@/features/tube/TubeDrawing';
import { standing } from '@gentle-burrow/core/housing';
import type { KindCard } from '@gentle-burrow/core/species';
import type { Preferences } from '@/theme/preferences';
import { dayText, spanText } from '@/ui/dates';
import { PX_PER_MM } from '@/ui/paper';
import { phraseText } from '@/ui/Said';
import { EVENT_TITLES } from '@/words/stages';
import { LabelCode } from './LabelCode';

/** A sheet's width between its margins, mm: what is wider is drawn smaller, and says so. */
const WIDE_MM = 180;

/** On paper every day has its year: it lies about for longer than that. */
const NO_YEAR = new Date(0);
const paperDay = (at: Instant): string => dayText(at, NO_YEAR);

interface ColonySheetProps {
  shown: ShownQueen;
  profile: KindCard | undefined;
  names: Names;
  units: Preferences;
}

/** One clean sheet for a colony: her home to scale, her dates, her log, her label's code. */
export function ColonySheet({ shown, profile, names, units }: ColonySheetProps) {
  const { facts, view } = shown;
  const { queen, place } = facts;
  const { ledger, outlook } = view;
  const dates: [string, string][] = [
    ['Taken in', paperDay(ledger.intake?.at ?? queen.createdAt)],
    ...MILESTONES.flatMap((m): [string, string][] => {
      const { after, by } = ledger.appearances[m].interval;
      return by ? [[EVENT_TITLES[m], after ? spanText(after, by, NO_YEAR) : `by ${paperDay(by)}`]] : [];
    }),
    ...(outlook?.next
      ? ((band) =>
          band.p10 && band.p90
            ? [
                [`${EVENT_TITLES[outlook.next!]}, expected`, spanText(band.p10, band.p90, NO_YEAR)] as [
                  string,
                  string,
                ],
              ]
            : [])(outlook.events[outlook.next].band)
      : []),
  ];
  const log = effectiveEntries(facts.entries).flatMap(({ entry }) => (entry ? [entry] : []));
  return (
    <div>
      <div style={{ display: 'flex', justifyContent: 'space-between', gap: '6mm' }}>
        <div>
          <h1>{queen.label}</h1>
          <p>
            <i>{profile?.name ?? 'Unknown'}</i>
          </p>
          <p className="soft">{[place.name, queen.batch].filter(Boolean).join(' · ')}</p>
          {view.counsel ? <p>{phraseText(view.counsel.next, units)}</p> : null}
        </div>
        <LabelCode id={queen.id} />
      </div>
      <Home shown={shown} profile={profile} />
      <h2>Dates</h2>
      <table>
        <tbody>
          {dates.map(([what, when]) => (
            <tr key={what}>
              <th scope="row" className="what">
                {what}
              </th>
              <td>{when}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>Log</h2>
      <table>
        <tbody>
          {log.map((entry) => (
            <tr key={entry.id}>
              <th scope="row" style={{ whiteSpace: 'nowrap' }}>
                {paperDay(entry.at)}
              </th>
              <td>{kindTitle(entry.kind)}</td>
              <td>{entryWords(bodyOf(entry), names)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft">{`Printed ${paperDay(new Date().toISOString())}.`}</p>
    </div>
  );
}

function Home({ shown, profile }: Pick<ColonySheetProps, 'shown' | 'profile'>) {
  const { ledger, housing, part, counsel } = shown.view;
  const parts = standing(housing);
  const drawn = {
    counts: Object.fromEntries(MILESTONES.map((m) => [m, ledger.counts[m]?.range])),
    queenAtMm: ledger.queenSeen?.atMm ?? null,
    profile,
    wetFront: ledger.wetFront?.value,
    mould: ledger.mould?.value,
    lineMm: counsel?.water?.lineMm,
    empty: ledger.loss !== null,
    gates: housing.parts.find((p) => p.part.id === part.id)?.gates ?? {},
  };
  const home = { ...housing, parts };
  const mm = parts.length > 1 ? layoutOf(home).wide : part.kind === 'tube' ? wholeMm(part) : part.widthMm;
  const width = Math.min(WIDE_MM, mm) * PX_PER_MM;
  return (
    <div style={{ margin: '4mm 0 2mm' }}>
      {parts.length > 1 ? (
        <HomePicture home={home} width={width} hers={drawn} mostTall={150 * PX_PER_MM} />
      ) : (
        <PartDrawing {...drawn} part={part} width={width} />
      )}
      <p className="soft">
        {mm <= WIDE_MM && parts.length === 1
          ? 'Drawn in real size when printed at 100%.'
          : 'Drawn smaller than it is.'}
      </p>
    </div>
  );
}
