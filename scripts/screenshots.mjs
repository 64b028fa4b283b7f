/** `npm run screenshots`: see screenshots.ts. */
import { ensureBrowser } from './lib/browser.mjs';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled, runBin } from './lib/install.mjs';

ensureInstalled();
ensureBrowser();
ensureBuilt();
process.exitCode = runBin('tsx', ['scripts/screenshots.ts']);
