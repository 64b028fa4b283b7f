/** `npm run faults`: installs, builds, and runs faults/run.ts. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled, runBin } from './lib/install.mjs';

ensureInstalled();
ensureBuilt();
process.exitCode = runBin('tsx', ['faults/run.ts']);
