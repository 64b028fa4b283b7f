/** Is a port of this machine free? Node alone. */
import { createServer } from 'node:net';

export function isPortFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, 'localhost', () => probe.close(() => resolve(true)));
  });
}
