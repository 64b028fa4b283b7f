/** `npm run kb -- COMMAND`: see cli/kb.ts. */
import { ensureInstalled, runBin } from './lib/install.mjs';

ensureInstalled();
process.exitCode = runBin('tsx', ['cli/kb.ts', ...process.argv.slice(2)], {
  env: { ...process.env, TSX_TSCONFIG_PATH: 'tsconfig.server.json' },
});
