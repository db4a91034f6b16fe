import type { WhatIf } from '@gentle-burrow/core/view';
import { useEffect, useRef, useState } from 'react';
import type { WhatIfAbout, WhatIfAsk, WhatIfTold } from '@/workers/what-if.worker';

/** While the slider moves, few draws answer within a frame; when it rests, many make the bands smooth. */
const MOVING_DRAWS = 500;
const RESTING_DRAWS = 4000;
const REST_MS = 180;

/**
 * Asks the worker as the sliders move. One question is under way at a time and only the newest waits, so that answers
 * neither pile up nor come out of order, and the drawing never waits for them.
 */
export function useWhatIf(about: WhatIfAbout, change: WhatIf): WhatIfTold | null {
  const [told, setTold] = useState<WhatIfTold | null>(null);
  const asker = useRef<Asker | null>(null);
  useEffect(() => {
    if (typeof Worker === 'undefined') return;
    const one = new Asker(new Worker(new URL('../../workers/what-if.worker', window.location.href)), setTold);
    asker.current = one;
    return () => one.close();
  }, []);
  useEffect(() => asker.current?.tellAbout(about), [about]);
  useEffect(() => {
    asker.current?.ask({ change, draws: MOVING_DRAWS });
    const rest = setTimeout(() => asker.current?.ask({ change, draws: RESTING_DRAWS }), REST_MS);
    return () => clearTimeout(rest);
  }, [about, change]);
  return told;
}

type Question = Extract<WhatIfAsk, { change: WhatIf }>;

class Asker {
  private busy = false;
  private next: Question | null = null;

  constructor(
    private readonly worker: Worker,
    onTold: (told: WhatIfTold) => void,
  ) {
    worker.onmessage = (event: MessageEvent<WhatIfTold>) => {
      onTold(event.data);
      this.busy = false;
      const { next } = this;
      this.next = null;
      if (next) this.ask(next);
    };
  }

  tellAbout(about: WhatIfAbout): void {
    this.worker.postMessage({ about } satisfies WhatIfAsk);
  }

  ask(question: Question): void {
    if (this.busy) {
      this.next = question;
      return;
    }
    this.busy = true;
    this.worker.postMessage(question satisfies WhatIfAsk);
  }

  close(): void {
    this.worker.terminate();
  }
}
