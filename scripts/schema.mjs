/** `npm run schema`: writes docs/schema.sql, the database as all migrations leave it, for reading. */
import { spawnSync } from 'node:child_process';
import { ensureProgram, programArgs } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ROOT } from './lib/packages.mjs';

ensureInstalled();
await ensureProgram();
const { status } = spawnSync(process.execPath, programArgs('writeSchema'), {
  cwd: ROOT,
  stdio: 'inherit',
});
process.exitCode = status ?? 1;
