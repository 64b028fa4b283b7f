/** `npm run faults`: installs, builds, and (as root, for two hosts of its own) runs faults/run.ts. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensureDebian } from './lib/outside.mjs';
import { runProgram } from './lib/packages.mjs';

ensureInstalled();
await ensureBuilt();
ensureDebian('iproute2', 'openssh-server', 'rsync');
process.exitCode = runProgram('tsx', ['faults/run.ts']);
