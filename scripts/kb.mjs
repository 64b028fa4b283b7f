/** `npm run kb -- COMMAND`: see cli/kb.ts. */
import { spawnSync } from 'node:child_process';
import { ensureProgram, programArgs } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';

ensureInstalled({ isProduction: true });
await ensureProgram();
const { status } = spawnSync(process.execPath, [...programArgs('kb'), ...process.argv.slice(2)], {
  stdio: 'inherit',
});
process.exitCode = status ?? 1;
