/** A worker thread starts without the loader of TypeScript: it is registered here first. */
import { register } from 'tsx/esm/api';

register();
await import('./paper.ts');
