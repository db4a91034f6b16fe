import type { WhatIf } from '@gentle-burrow/core/view';
import { act, renderHook } from '@testing-library/react';
import type { WhatIfAsk, WhatIfTold } from '@/workers/what-if.worker';
import { madeQueen } from '../../../test/kit';
import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { useWhatIf } from './use-what-if';

/** A worker that answers when it is told to. */
class SlowWorker {
  static last: SlowWorker;
  asked: WhatIfAsk[] = [];
  onmessage: ((event: { data: WhatIfTold }) => void) | null = null;
  terminate = jest.fn();
  constructor() {
    SlowWorker.last = this;
  }
  postMessage(ask: WhatIfAsk): void {
    this.asked.push(ask);
  }
  questions() {
    return this.asked.filter((a): a is Extract<WhatIfAsk, { draws: number }> => 'draws' in a);
  }
  answer(): void {
    const { change, draws } = this.questions().pop() as { change: WhatIf; draws: number };
    act(() =>
      this.onmessage?.({
        data: { change, draws, answer: { outlook: null, looks: null, heat: null, trouble: null } },
      }),
    );
  }
}

const AS_IT_IS: WhatIf = {
  warmerC: 0,
  placeId: null,
  winterWeeks: 0,
  winterInWeeks: 0,
  lookEveryDays: 14,
  learn: true,
};
const about = {
  facts: madeQueen('W', 20),
  settings: DEFAULT_SETTINGS,
  own: [],
  learned: {},
  now: new Date().toISOString(),
};

beforeEach(() => {
  jest.useFakeTimers();
  (globalThis as { Worker?: unknown }).Worker = SlowWorker;
});
afterEach(() => jest.useRealTimers());

test('while the slider moves one question is under way and only the newest waits; at rest it is asked finely', () => {
  const { result, rerender, unmount } = renderHook(({ change }) => useWhatIf(about, change), {
    initialProps: { change: AS_IT_IS },
  });
  const worker = SlowWorker.last;
  expect('about' in (worker.asked[0] as object)).toBe(true);
  for (let warmerC = 1; warmerC <= 6; warmerC++) rerender({ change: { ...AS_IT_IS, warmerC } });
  // six steps, and still the first question alone
  expect(worker.questions()).toHaveLength(1);
  worker.answer();
  expect(worker.questions()).toHaveLength(2);
  expect(worker.questions()[1]).toMatchObject({ change: { warmerC: 6 }, draws: 500 });
  worker.answer();
  expect(result.current?.change.warmerC).toBe(6);
  act(() => jest.advanceTimersByTime(500));
  expect(worker.questions()[2]).toMatchObject({ change: { warmerC: 6 }, draws: 4000 });
  unmount();
  expect(worker.terminate).toHaveBeenCalled();
});
