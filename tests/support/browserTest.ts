/**
 * The browser tests' own `test`: each worker has one server with the demo house. A file, or a test, that begins
 * takes the house as it was made; what others did to it is gone.
 */
import { test as base } from '@playwright/test';
import { demoServer, type DemoServer } from './demoServer';

export const test = base.extend<object, { demoHouse: DemoServer }>({
  demoHouse: [
    // The runner reads the names of what a fixture needs from this pattern.
    async ({}, use) => {
      const server = await demoServer();
      await use(server);
      await server.close();
    },
    { scope: 'worker' },
  ],
});

export * from '@playwright/test';
