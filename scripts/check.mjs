// `npm run check -- DIR`: examines a data directory without writing to it.
import { runBuilt } from './prepare.mjs';

await runBuilt('check-main.js');
