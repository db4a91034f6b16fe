import type { ShelfRow } from '@gentle-burrow/core/view';
import type { Preferences } from '@/theme/preferences';
import { dayText } from '@/ui/dates';
import { phraseText } from '@/ui/Said';

interface RoundListProps {
  rows: readonly ShelfRow[];
  speciesOf(row: ShelfRow): string;
  units: Preferences;
}

/** The round on paper: a line and a box for each tube, and room for what is seen. */
export function RoundList({ rows, speciesOf, units }: RoundListProps) {
  return (
    <div>
      <h1>{`Round of ${dayText(new Date().toISOString(), new Date(0))}`}</h1>
      <p className="soft">Tick each tube when you have looked. Log what you saw afterwards.</p>
      <table>
        <thead>
          <tr>
            <th aria-label="Done" />
            <th>Tube</th>
            <th>What to check</th>
            <th style={{ width: '45mm' }}>What you saw</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.queen.id}>
              <td>
                <span className="box" />
              </td>
              <td>
                <b>{row.queen.label}</b> <i>{speciesOf(row)}</i>
                <br />
                <span className="soft">{row.placeName}</span>
              </td>
              <td>{phraseText(row.says, units)}</td>
              <td />
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
