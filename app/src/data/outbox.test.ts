import { DEFAULT_SETTINGS } from '@gentle-burrow/core/facts';
import { onlineManager } from '@tanstack/react-query';
import { isThere } from './network';
import { forgetPhoto, keepPhoto } from './photos';
import {
  drop,
  flush,
  onSent,
  openOutbox,
  outboxItems,
  put,
  replace,
  sendAgain,
  takeUp,
  type OutboxItem,
  type Outgoing,
} from './outbox';

const settings = (lookingSchool: 'weekly' | 'fortnightly' | 'hands-off'): Outgoing => ({
  what: 'settings',
  settings: { ...DEFAULT_SETTINGS, lookingSchool },
});
const answer = (status: number, body: unknown) => ({ ok: status < 400, status, json: async () => body });
const sent: string[] = [];
let server: () => Promise<unknown>;

beforeEach(() => {
  sent.length = 0;
  globalThis.fetch = jest.fn(async (_url: string, init?: { body: string }) => {
    const reply = await server();
    if (init) sent.push((JSON.parse(init.body) as { lookingSchool: string }).lookingSchool);
    return reply;
  }) as never;
});
afterEach(async () => {
  for (const i of outboxItems()) await drop(i.id);
  onlineManager.setOnline(true);
});

const down = async () => {
  throw new TypeError('no connection');
};
const up = async () => answer(200, {});

test('what cannot be sent waits, in order, and goes once when the server is back', async () => {
  server = down;
  await put(settings('weekly'));
  await put(settings('hands-off'));
  await flush();
  expect(outboxItems()).toHaveLength(2);
  server = up;
  await flush();
  expect(sent).toEqual(['weekly', 'hands-off']);
  expect(outboxItems()).toEqual([]);
  await flush();
  expect(sent).toHaveLength(2);
});

test('what waits is found again by the next visit', async () => {
  server = down;
  await put(settings('weekly'));
  await flush();
  // another visit: the module starts empty beside the same browser storage
  await jest.isolateModulesAsync(async () => {
    const next = jest.requireActual<typeof import('./outbox')>('./outbox');
    expect(next.outboxItems()).toEqual([]);
    await next.openOutbox();
    expect(next.outboxItems().map((i) => i.out)).toEqual([settings('weekly')]);
  });
});

test('a refusal is kept with what the server said, and does not hold up the rest', async () => {
  let first = true;
  server = async () => {
    if (!first) return answer(200, {});
    first = false;
    return answer(422, {
      error: { code: 'in-the-future', message: 'The date lies in the future. Correct it.' },
    });
  };
  await put(settings('weekly'));
  await put(settings('hands-off'));
  await flush();
  await flush();
  expect(outboxItems()).toMatchObject([{ refused: 'The date lies in the future. Correct it.' }]);
  expect(sent).toEqual(['weekly', 'hands-off']);
});

describe('a server that fails', () => {
  beforeEach(() => jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'setImmediate', 'nextTick'] }));
  afterEach(() => jest.useRealTimers());
  const failing = (status: number) => answer(status, { error: { code: 'x', message: `It says ${status}.` } });
  /** What the server does with the settings that say this; all others it takes. */
  const over = (school: string, status: number) => {
    globalThis.fetch = jest.fn(async (_url: string, init?: { body: string }) => {
      const said = init ? (JSON.parse(init.body) as { lookingSchool: string }).lookingSchool : '';
      if (said === school) return failing(status);
      if (said) sent.push(said);
      return answer(200, {});
    }) as never;
  };

  test('over one thing again and again: it steps aside after three times, by itself, and the rest goes on', async () => {
    over('weekly', 500);
    await put(settings('weekly'));
    await put(settings('hands-off'));
    await flush();
    expect(outboxItems()).toMatchObject([{ failed: 1 }, {}]);
    for (let i = 0; i < 2; i++) {
      await jest.advanceTimersByTimeAsync(10_000);
      await flush();
    }
    expect(outboxItems()).toMatchObject([{ refused: 'It says 500.' }]);
    expect(sent).toEqual(['hands-off']);
  });

  test.each([429, 503, 507])(
    'for now (%s): nothing steps aside, and it is sent again by itself',
    async (status) => {
      over('weekly', status);
      await put(settings('weekly'));
      for (let i = 0; i < 5; i++) await flush();
      expect(outboxItems()).toEqual([expect.not.objectContaining({ refused: expect.anything() })]);
      over('nothing', status);
      await jest.advanceTimersByTimeAsync(31_000);
      await flush();
      expect(sent).toEqual(['weekly']);
      expect(outboxItems()).toEqual([]);
    },
  );
});

describe('nothing stays stuck in silence', () => {
  beforeEach(() => jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'setImmediate', 'nextTick'] }));
  afterEach(() => jest.useRealTimers());
  const schoolIn = (init?: { body?: string }) =>
    init?.body ? (JSON.parse(init.body) as { lookingSchool: string }).lookingSchool : null;
  /** A server that says that it is there, and does this with what is sent. */
  const does = (take: (school: string) => Promise<unknown>) => {
    globalThis.fetch = jest.fn(async (_url: string, init?: { body?: string }) => {
      const school = schoolIn(init);
      if (school === null) return answer(200, {});
      const reply = await take(school);
      sent.push(school);
      return reply;
    }) as never;
  };

  test('an answer that is cut off, or none of the server’s, is none: what was sent waits, and goes by itself', async () => {
    await openOutbox();
    server = async () => ({ ok: true, status: 200, json: () => Promise.reject(new SyntaxError('no JSON')) });
    await put(settings('weekly'));
    await flush();
    expect(onlineManager.isOnline()).toBe(false);
    expect(outboxItems()).toEqual([expect.not.objectContaining({ refused: expect.anything() })]);
    does(up);
    await jest.advanceTimersByTimeAsync(4000);
    await flush();
    expect(outboxItems()).toEqual([]);
  });

  test('a network that answers everything with a page of its own is no server: nothing steps aside', async () => {
    const page = { ok: true, status: 200, json: () => Promise.reject(new SyntaxError('no JSON')) };
    globalThis.fetch = jest.fn(async () => page) as never;
    await put(settings('weekly'));
    for (let i = 0; i < 4; i++) {
      await flush();
      await jest.advanceTimersByTimeAsync(10_000);
    }
    expect(onlineManager.isOnline()).toBe(false);
    expect(outboxItems()).toEqual([{ id: expect.any(String), out: settings('weekly') }]);
  });

  test('an answer that never comes is given up: the line died in silence', async () => {
    globalThis.fetch = jest.fn(
      (_: string, init?: { signal?: AbortSignal }) =>
        new Promise((__, fail) => init?.signal?.addEventListener('abort', () => fail(new Error('given up')))),
    ) as never;
    await put(settings('weekly'));
    const given = flush();
    await jest.advanceTimersByTimeAsync(135_000);
    await given;
    expect(onlineManager.isOnline()).toBe(false);
    does(up);
    await jest.advanceTimersByTimeAsync(15_000);
    await flush();
    expect(outboxItems()).toEqual([]);
  });

  test('what cannot be sent although the server answers steps aside after three times, and the rest goes on', async () => {
    does(async (school) => (school === 'weekly' ? down() : up()));
    await put(settings('weekly'));
    await put(settings('hands-off'));
    for (let i = 0; i < 3; i++) {
      await flush();
      await jest.advanceTimersByTimeAsync(10_000);
    }
    await flush();
    expect(outboxItems()).toMatchObject([
      { refused: expect.stringMatching(/although the server answers\. .*send it again/) },
    ]);
    expect(sent).toEqual(['hands-off']);
  });

  test('a view that cannot be fetched anew keeps nothing back that was sent', async () => {
    server = up;
    let asked = 0;
    onSent(async () => {
      if (asked++ === 0) throw new Error('no view');
    });
    await put(settings('weekly'));
    await flush();
    expect([asked, outboxItems()]).toEqual([1, []]);
  });

  test('what was written while another tab sends is sent when that one has ended', async () => {
    server = up;
    let other = true;
    const request = async (_: string, __: object, work: (lock: object | null) => Promise<void>) =>
      work(other ? null : {});
    Object.defineProperty(navigator, 'locks', { configurable: true, value: { request } });
    try {
      await put(settings('weekly'));
      await flush();
      expect(sent).toEqual([]);
      other = false;
      // by itself: nobody asks for it here
      await jest.advanceTimersByTimeAsync(3000);
      expect(sent).toEqual(['weekly']);
      await flush();
    } finally {
      delete (navigator as { locks?: unknown }).locks;
    }
  });
});

describe('a browser that cannot store anything', () => {
  const leaves = () => {
    const leaving = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leaving);
    return !leaving.defaultPrevented;
  };
  const full = () =>
    jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
  afterEach(() => jest.restoreAllMocks());

  test('what waits there is not left without being asked, until it is sent', async () => {
    await openOutbox();
    full();
    server = down;
    await put(settings('weekly'));
    await flush();
    expect(outboxItems()).toHaveLength(1);
    expect(leaves()).toBe(false);
    server = up;
    await flush();
    expect(outboxItems()).toEqual([]);
    expect(leaves()).toBe(true);
  });

  test('a photo whose bytes could not be stored is the same; what was stored may be left', async () => {
    await openOutbox();
    server = down;
    await put(settings('weekly'));
    expect(leaves()).toBe(true);
    const spy = full();
    await keepPhoto('p2', new Blob(['not really a picture']));
    spy.mockRestore();
    await put({ what: 'photo', id: 'p2', queenId: 'q1', at: '2026-06-01T10:00:00.000Z' });
    expect(leaves()).toBe(false);
    await forgetPhoto('p2');
    expect(leaves()).toBe(true);
  });
});

test('what was dropped is taken up again in its place, and what was refused can be sent again or put right', async () => {
  server = async () => answer(422, { error: { code: 'x', message: 'No.' } });
  await put(settings('weekly'));
  await put(settings('hands-off'));
  await flush();
  const [first, second] = outboxItems() as [OutboxItem, OutboxItem];
  expect([first.refused, second.refused]).toEqual(['No.', 'No.']);
  await drop(first.id);
  await takeUp(first);
  expect(outboxItems()).toEqual([first, second]);
  server = up;
  await sendAgain(first.id);
  await replace(second.id, () => settings('fortnightly'));
  await flush();
  expect(sent.slice(-2)).toEqual(['weekly', 'fortnightly']);
  expect(outboxItems()).toEqual([]);
});

test('views are fetched anew before an item leaves, so that nothing blinks out', async () => {
  server = up;
  const seen: number[] = [];
  onSent(async () => {
    seen.push(outboxItems().length);
  });
  await openOutbox();
  await put(settings('weekly'));
  await flush();
  expect(seen).toEqual([1]);
  expect(outboxItems()).toEqual([]);
});

test('a photo waits as bytes beside the outbox and goes as it is; what was sent before is not sent again', async () => {
  const picture = new Blob(['not really a picture'], { type: 'image/jpeg' });
  const photo: Outgoing = { what: 'photo', id: 'p1', queenId: 'q1', at: '2026-06-01T10:00:00.000Z' };
  await keepPhoto('p1', picture);
  const bodies: unknown[] = [];
  globalThis.fetch = jest.fn(async (url: string, init?: { body: unknown }) => {
    if (init) bodies.push([url, init.body]);
    return answer(201, {});
  }) as never;
  await put(photo);
  await flush();
  expect(bodies).toEqual([['/api/photos/p1?queen=q1&at=2026-06-01T10%3A00%3A00.000Z', picture]]);
  await forgetPhoto('p1');
  await put(photo);
  await flush();
  expect(bodies).toHaveLength(1);
  expect(outboxItems()).toEqual([]);
});

test('what belongs together is kept together before any of it is shown', async () => {
  server = down;
  const shown: number[] = [];
  const both = put(settings('weekly'), settings('hands-off'));
  // not yet: the browser has not kept it
  shown.push(outboxItems().length);
  await both;
  shown.push(outboxItems().length);
  expect(shown).toEqual([0, 2]);
  await jest.isolateModulesAsync(async () => {
    const next = jest.requireActual<typeof import('./outbox')>('./outbox');
    await next.openOutbox();
    expect(next.outboxItems()).toHaveLength(2);
  });
});

test('an entry that waits since before entries were sent together is sent like one of today', async () => {
  server = down;
  const { createStore, set } = jest.requireActual<typeof import('idb-keyval')>('idb-keyval');
  const entry = { kind: 'note', id: 'n', queenId: 'q', at: '2026-05-01T12:00:00Z', text: 'old' };
  await set('0', { id: '0', out: { what: 'entry', entry } }, createStore('burrow-outbox', 'items'));
  await jest.isolateModulesAsync(async () => {
    const next = jest.requireActual<typeof import('./outbox')>('./outbox');
    await next.openOutbox();
    expect(next.outboxItems().map((i) => i.out)).toEqual([{ what: 'entries', entries: [entry] }]);
    await next.drop('0');
  });
});

describe('where the clocks differ', () => {
  const HOUR = 3_600_000;
  const note = (): Outgoing => {
    const at = new Date().toISOString();
    const ids = {
      id: '018f0000-0000-7000-9000-00000000000a',
      queenId: '018f0000-0000-7000-8000-000000000001',
    };
    return { what: 'entries', entries: [{ kind: 'note', ...ids, at, loggedAt: at, text: 'x' }] };
  };
  /** A server whose clock is behind by so much, and that takes nothing of the future. */
  function serverBehind(ms: number) {
    const bodies: { entries: { at: string; ownAt?: string }[] }[] = [];
    const clock = { behindMs: ms };
    globalThis.fetch = jest.fn(async (url: string, init?: { body: string }) => {
      const now = Date.now() - clock.behindMs;
      if (!init || url.endsWith('/health')) return answer(200, { now: new Date(now).toISOString() });
      const body = JSON.parse(init.body) as (typeof bodies)[number];
      if (body.entries.some((e) => Date.parse(e.at) > now + 600_000))
        return answer(422, { error: { code: 'in-the-future', message: 'It lies in the future.' } });
      bodies.push(body);
      return answer(200, {});
    }) as never;
    return { bodies, clock };
  }
  afterEach(async () => {
    serverBehind(0);
    await isThere();
  });

  test('up to a day it is allowed for: the entry goes with the right time, and its own beside it', async () => {
    const { bodies } = serverBehind(HOUR);
    const before = Date.now();
    await put(note());
    await flush();
    expect(outboxItems()).toEqual([]);
    const [sentNow] = bodies[0]?.entries ?? [];
    expect(Math.abs(Date.parse(sentNow?.at ?? '') - (before - HOUR))).toBeLessThan(60_000);
    expect(Date.parse(sentNow?.ownAt ?? '')).toBeGreaterThanOrEqual(before);
  });

  test('sent again after a refusal for something else, its times are not put right twice', async () => {
    const { bodies } = serverBehind(HOUR);
    await isThere();
    const taking = globalThis.fetch;
    globalThis.fetch = jest.fn(async (url: string, init?: { body: string }) =>
      init
        ? answer(404, { error: { code: 'no-such-queen', message: 'No queen has this id.' } })
        : taking(url),
    ) as never;
    await put(note());
    await flush();
    const [item] = outboxItems();
    expect(item).toMatchObject({ refused: 'No queen has this id.', clocked: true });
    globalThis.fetch = taking;
    await sendAgain(item?.id ?? '');
    await flush();
    expect(item?.out).toMatchObject({ entries: [{ at: bodies[0]?.entries[0]?.at }] });
  });

  test('of more than a day nobody knows who is right: it waits, and goes when the clock is set', async () => {
    const { bodies, clock } = serverBehind(56 * 365 * 24 * HOUR);
    await put(note());
    await flush();
    expect(bodies).toEqual([]);
    expect(outboxItems()).toMatchObject([{ out: { what: 'entries' } }]);
    expect(outboxItems()[0]).not.toHaveProperty('refused');
    clock.behindMs = 0;
    await flush();
    expect(outboxItems()).toEqual([]);
    expect(bodies[0]?.entries[0]).not.toHaveProperty('ownAt');
  });
});
