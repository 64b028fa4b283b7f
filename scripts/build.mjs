/** `npm run build`: what `npm start` would build, beforehand. Only what a house needs to run is installed. */
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';

ensureInstalled({ isProduction: true });
await ensureBuilt();
