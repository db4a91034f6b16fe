import { LIGHT_SCHOOLS, LOOKING_SCHOOLS, PATIENCE_SCHOOLS } from '@gentle-burrow/core/care';
import type { KeeperSettings, Queen } from '@gentle-burrow/core/facts';
import type { QueenPatch } from '@gentle-burrow/contract';
import { put } from '@/data/outbox';
import { useSettings } from '@/data/queries';
import { Choice } from '@/ui/Choice';
import { offerUndo } from '@/ui/undo';
import { Words } from '@/ui/Words';

/** Her own method of one thing, or the keeper's for all. */
type Method = keyof QueenPatch & keyof KeeperSettings;
const AS_FOR_ALL = 'as-for-all';

const METHODS: readonly {
  id: Method;
  label: string;
  schools: readonly { id: string; name: string; says: string }[];
}[] = [
  { id: 'lookingSchool', label: 'Looking', schools: LOOKING_SCHOOLS },
  { id: 'lightSchool', label: 'Light in a move', schools: LIGHT_SCHOOLS },
  { id: 'patienceSchool', label: 'Patience in a move', schools: PATIENCE_SCHOOLS },
];

/** Methods for one colony, where it is kept otherwise than the others. */
export function HerMethods({ queen }: { queen: Queen }) {
  const settings = useSettings();
  const decide = (id: Method, value: string | null) => {
    const was = queen[id as keyof Queen] ?? null;
    const patch = (to: string | null) => ({ [id]: to }) as QueenPatch;
    void put({ what: 'queen-patch', queenId: queen.id, patch: patch(value) });
    offerUndo(`Method of ${queen.label} saved.`, () =>
      put({ what: 'queen-patch', queenId: queen.id, patch: patch(was) }),
    );
  };
  return (
    <>
      <Words kind="small" soft>
        {`What you choose here holds for ${queen.label} alone.`}
      </Words>
      {METHODS.map(({ id, label, schools }) => {
        const usual = schools.find((s) => s.id === settings[id])?.name ?? '';
        return (
          <Choice
            key={id}
            label={label}
            options={[
              { value: AS_FOR_ALL, label: `As for all (${usual})` },
              ...schools.map((s) => ({ value: s.id, label: s.name, hint: s.says })),
            ]}
            value={(queen[id as keyof Queen] as string | null | undefined) ?? AS_FOR_ALL}
            onChange={(value) => decide(id, value === AS_FOR_ALL ? null : value)}
          />
        );
      })}
    </>
  );
}
