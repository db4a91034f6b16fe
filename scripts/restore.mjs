// `npm run restore -- FILE [--into DIR]`: brings back a backup or a log, by id; what is there stays.
import { runBuilt } from './prepare.mjs';

await runBuilt('restore-main.js');
