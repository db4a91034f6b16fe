import { parentPort } from 'node:worker_threads';
import { project, type ProjectTask } from './project-task';

parentPort?.on('message', ({ id, task }: { id: number; task: ProjectTask }) => {
  try {
    parentPort?.postMessage({ id, done: project(task) });
  } catch (error) {
    parentPort?.postMessage({ id, failed: error instanceof Error ? error.message : String(error) });
  }
});
