import { queenView, whatIf, type WhatIfAnswer } from '@gentle-burrow/core/view';
import { act, fireEvent, screen } from '@testing-library/react';
import type { ShownQueen } from '@/data/queries';
import type { WhatIfAsk, WhatIfTold } from '@/workers/what-if.worker';
import { madeQueen, PretendServer, SETTINGS, show } from '../../../test/kit';
import { WhatIfPanel } from './WhatIfPanel';

const facts = madeQueen('W', 20);
const now = new Date().toISOString();
const view = queenView(facts, SETTINGS, now, { draws: 600 });

/** Answers every question at once: by fewer draws than her page took, and warning of heat. */
class HastyWorker {
  onmessage: ((event: { data: WhatIfTold }) => void) | null = null;
  terminate = jest.fn();
  postMessage(ask: WhatIfAsk): void {
    if (!('change' in ask)) return;
    const { change, draws } = ask;
    const answer: WhatIfAnswer = {
      ...whatIf(facts, SETTINGS, now, { ...change, warmerC: change.warmerC + 5 }, { draws: 150 }),
      heat: 'hot',
    };
    setTimeout(() => act(() => this.onmessage?.({ data: { change, draws, answer } })));
  }
}

beforeEach(() => {
  (globalThis as { Worker?: unknown }).Worker = HastyWorker;
  new PretendServer([facts]);
});
afterEach(() => {
  delete (globalThis as { Worker?: unknown }).Worker;
});

const bands = (which: string) =>
  screen.getAllByText(new RegExp(`^${which}: `)).map((e) => (e.textContent ?? '').replace(`${which}: `, ''));

test('untouched it says what her page says, and warns of nothing; changed it is another answer', async () => {
  show(<WhatIfPanel shown={{ facts, view, learned: {}, waiting: false } as ShownQueen} />);
  // the worker has answered by now
  await screen.findByText(/until her first workers/);
  expect(bands('what if')).toEqual(bands('as it is'));
  expect(screen.queryByText(/above her best/)).toBeNull();
  fireEvent.change(screen.getByLabelText(/^Warmer/), { target: { value: '3' } });
  expect(await screen.findByText(/above her best/)).toBeTruthy();
  expect(bands('what if')).not.toEqual(bands('as it is'));
});
