import { TASKS, type Task } from '@gentle-burrow/core/care';
import type { QueenView } from '@gentle-burrow/core/view';
import { deedsOf } from './deed';

const NOW = new Date('2026-06-10T12:00:00Z');
const view = (asks: [Task, string, string][], loss: object | null = null): QueenView =>
  ({
    counsel: { due: asks.map(([task, notBefore, notAfter]) => ({ task, notBefore, notAfter })) },
    ledger: { loss },
  }) as unknown as QueenView;

test('what is due stands first, by its end; what is not due yet does not', () => {
  const deeds = deedsOf(
    view([
      ['warm', '2026-06-01T00:00:00Z', '2026-06-20T00:00:00Z'],
      ['feed', '2026-06-09T00:00:00Z', '2026-06-11T00:00:00Z'],
      ['quarantine', '2026-07-01T00:00:00Z', '2026-07-02T00:00:00Z'],
    ]),
    NOW,
  );
  expect(deeds.slice(0, 3)).toEqual(['feed', 'move', 'look']);
  expect(new Set(deeds).size).toBe(deeds.length);
});

test.each(TASKS.map((t) => [t]))('%s is written by something that can be written', (task) => {
  const [first] = deedsOf(view([[task, '2026-06-01T00:00:00Z', '2026-06-11T00:00:00Z']]), NOW);
  expect(deedsOf(view([]), NOW)).toContain(first);
});

test('of the dead a note is written, or that another got her brood, and nothing of care', () =>
  expect(deedsOf(view([], { orphans: false }), NOW)).toEqual(['note', 'brood', 'correct']));
