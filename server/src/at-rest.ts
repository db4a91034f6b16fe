import type { Server } from 'node:http';
import { getHeapStatistics, setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

/** Nobody has asked anything for so long: collecting takes some 50 ms in which nobody waits. */
const QUIET_MS = 5000;
/** Less more in use than this is not worth it. */
const WORTH_BYTES = 16 * 1024 * 1024;
/** The second time gives back the pages that the first has emptied. */
const TIMES = 2;

/** Gives back what answers have left behind, as soon as nobody asks any more: Node would keep it until somebody does. */
export function tidyAtRest(server: Pick<Server, 'on'>): void {
  setFlagsFromString('--expose-gc');
  const collect = runInNewContext('gc') as () => void;
  const used = () => getHeapStatistics().used_heap_size;
  let settled = 0;
  let done = 0;
  const quiet = setTimeout(() => {
    if (done === 0 && used() < settled + WORTH_BYTES) return;
    collect();
    settled = used();
    if (++done < TIMES) quiet.refresh();
  }, QUIET_MS);
  quiet.unref();
  server.on('request', () => {
    done = 0;
    quiet.refresh();
  });
  server.on('close', () => clearTimeout(quiet));
}
