/** `npm run bench`: see bench/run.ts. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled, runBin } from './lib/install.mjs';

ensureInstalled();
ensureBuilt();
process.exitCode = runBin('tsx', ['bench/run.ts', ...process.argv.slice(2)]);
