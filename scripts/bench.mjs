/** `npm run bench`: see bench/run.ts. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensureBrowser, ensureDebian } from './lib/outside.mjs';
import { runProgram } from './lib/packages.mjs';

ensureInstalled();
await ensureBuilt();
const parts = process.argv.slice(2);
if (parts.length === 0 || parts.includes('public')) ensureDebian('nginx', 'wrk');
if (parts.length === 0 || parts.includes('views')) ensureBrowser();
process.exitCode = runProgram('tsx', ['bench/run.ts', ...parts]);
