/** `npm run screenshots`: see screenshots.ts. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensureBrowser } from './lib/outside.mjs';
import { runProgram } from './lib/packages.mjs';

ensureInstalled();
ensureBrowser();
await ensureBuilt();
process.exitCode = runProgram('tsx', ['scripts/screenshots.ts']);
