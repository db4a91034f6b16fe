import { EventEmitter } from 'node:events';
import type { Server } from 'node:http';
import { tidyAtRest } from './at-rest';

const MB = 1024 * 1024;
const heldMb = () => process.memoryUsage().heapUsed / MB;

/** Leaves some 60 MB behind that nobody holds any more. */
function answer(): number {
  const rows = Array.from({ length: 400_000 }, (_, i) => ({ i, text: `${i} of many` }));
  return rows.length;
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('what answers left behind is given back when nobody asks any more, not while they do', () => {
  const server = new EventEmitter();
  tidyAtRest(server as Server);
  jest.advanceTimersByTime(60_000);
  const before = heldMb();
  answer();
  server.emit('request');
  jest.advanceTimersByTime(4000);
  server.emit('request');
  jest.advanceTimersByTime(4000);
  expect(heldMb() - before).toBeGreaterThan(15);
  jest.advanceTimersByTime(60_000);
  expect(heldMb() - before).toBeLessThan(5);
  server.emit('close');
});

test('a server that has ended leaves no work behind', () => {
  const server = new EventEmitter();
  tidyAtRest(server as Server);
  server.emit('close');
  expect(jest.getTimerCount()).toBe(0);
});
