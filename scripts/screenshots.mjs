/** `npm run screenshots`: see screenshots.ts. */
import { ensureDebian } from './lib/debian.mjs';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled, runBin } from './lib/install.mjs';

ensureInstalled();
ensureDebian('chromium');
ensureBuilt();
process.exitCode = runBin('tsx', ['scripts/screenshots.ts']);
