import type { NewQueen } from '@gentle-burrow/contract';
import type { Place } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { putBack, takeBack } from '@/data/entries';
import { put, type Outgoing } from '@/data/outbox';
import { offerUndo } from '@/ui/undo';
import { newQueenOf, type QueenForm } from './queen-form';

/**
 * The names of sisters: those of a letter are numbered, L1, L2 …; a number goes on. What is taken already is passed over.
 * @param first what was given for the first of them
 */
export function labelsFrom(first: string, n: number, taken: readonly string[]): string[] {
  const name = first.trim();
  if (n <= 1) return [name];
  const used = new Set(taken.map((t) => t.toLowerCase()));
  const [, stem = name, number] = /^(.*?)(\d*)$/.exec(name) ?? [];
  const labels: string[] = [];
  for (let i = number ? Number(number) : 1; labels.length < n; i++) {
    const label = `${stem}${i}`;
    if (!used.has(label.toLowerCase())) labels.push(label);
  }
  return labels;
}

/** "L1" or "L1–L12". */
export const labelsText = (labels: readonly string[]): string =>
  labels.length > 1 ? `${labels[0]}–${labels.at(-1)}` : (labels[0] ?? '');

/** As many queens as the form says, each in a tube of her own, alike but for their names. */
export function newQueensOf(
  form: QueenForm,
  places: readonly Place[],
  taken: readonly string[],
): { body: NewQueen; sign: Entry | null }[] {
  let there = places;
  let placeId = form.placeId;
  return labelsFrom(form.label, form.sisters, taken).map((label) => {
    const made = newQueenOf({ ...form, label, placeId }, there);
    // a place that is new is made once
    there = [...there, made.body.place];
    placeId = made.body.place.id;
    return made;
  });
}

/**
 * Takes in all that the form says, together.
 * @returns where to go then
 */
export async function takeIn(
  form: QueenForm,
  places: readonly Place[],
  taken: readonly string[],
): Promise<string> {
  const made = newQueensOf(form, places, taken);
  await put(
    ...made.flatMap(({ body, sign }): Outgoing[] => [
      { what: 'queen', body },
      ...(sign ? [{ what: 'entries' as const, entries: [sign] as [Entry] }] : []),
    ]),
  );
  const bodies = made.map((m) => m.body);
  if (bodies.length === 1) return `/queens/${bodies[0]?.queen.id}`;
  const labels = labelsText(bodies.map((b) => b.queen.label));
  offerUndo(`${bodies.length} queens taken in: ${labels}.`, async () => {
    await takeBack(bodies.map((b) => ({ queenId: b.queen.id, id: b.intake.id })));
    // their tubes go back into the stock
    const moves = bodies.flatMap((b) => b.used ?? []).map(putBack);
    if (moves.length > 0) await put(...moves.map((move): Outgoing => ({ what: 'stock-move', move })));
  });
  return '/shelf';
}
