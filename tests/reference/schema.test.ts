/** What is written down of the database is what its migrations make. */
import { spawnSync } from 'node:child_process';

it('docs/schema.sql is up to date', () => {
  const { status, stderr } = spawnSync(process.execPath, ['scripts/schema.mjs', '--check']);
  expect([status, stderr.toString()]).toEqual([0, '']);
});
