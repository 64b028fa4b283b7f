/** `npm run bench`: see bench/run.ts. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureDebian } from './lib/debian.mjs';
import { ensureInstalled, runBin } from './lib/install.mjs';

ensureInstalled();
ensureBuilt();
const parts = process.argv.slice(2);
if (parts.length === 0 || parts.includes('public')) ensureDebian('nginx', 'wrk');
process.exitCode = runBin('tsx', ['bench/run.ts', ...parts]);
