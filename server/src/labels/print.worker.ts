import { parentPort } from 'node:worker_threads';
import { labelFaces } from './fonts';
import { printed, type PrintJob } from './printing';

// the fonts are read while the job is still being put together
labelFaces();
parentPort?.once('message', (job: PrintJob) => {
  printed(job).then(
    (done) => parentPort?.postMessage({ done }),
    (error: Error) => parentPort?.postMessage({ failed: error.message }),
  );
});
