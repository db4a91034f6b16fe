import { parentPort } from 'node:worker_threads';
import { printed, type PrintJob } from './printing';

parentPort?.once('message', (job: PrintJob) => {
  printed(job).then(
    (done) => parentPort?.postMessage({ done }),
    (error: Error) => parentPort?.postMessage({ failed: error.message }),
  );
});
