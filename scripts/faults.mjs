/** `npm run faults`: installs, builds, and (as root, for two hosts of its own) runs faults/run.ts. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureDebian } from './lib/debian.mjs';
import { ensureInstalled, runBin } from './lib/install.mjs';

ensureInstalled();
ensureBuilt();
ensureDebian('iproute2', 'openssh-server', 'rsync');
process.exitCode = runBin('tsx', ['faults/run.ts']);
