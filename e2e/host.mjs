// Several servers in one process: what is compiled and warm for one test is so for the next. Asked and answered by messages.
import { setFlagsFromString } from 'node:v8';
import { projectors, serve } from '../server/dist/serve.js';

setFlagsFromString('--liftoff-only');

// one thread a worker of the tests: it stays warm, where more would come and go
const pool = projectors(1);
const open = new Map();

const deeds = {
  async start({ folder, port, demo, aheadMs }) {
    const now = () => new Date(Date.now() + aheadMs);
    open.set(folder, await serve({ dataDir: folder, host: '127.0.0.1', port, demo, now, pool }));
  },
  async stop({ folder }) {
    await open.get(folder)?.stop();
    open.delete(folder);
  },
};

process.on('message', ({ id, deed, ...what }) => {
  deeds[deed](what).then(
    () => process.send({ id }),
    (error) => process.send({ id, fault: String(error?.stack ?? error) }),
  );
});
process.on('disconnect', () => process.exit(0));
