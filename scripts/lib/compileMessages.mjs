/**
 * Compiles messages while a page that must be light is built, so that no parser goes with it. Messages without values
 * stay as they are. A plugin of esbuild.
 */
import { readFile } from 'node:fs/promises';
import { parse } from '@formatjs/icu-messageformat-parser';

function compiled(text) {
  const messages = Object.entries(JSON.parse(text)).map(([id, message]) => [
    id,
    message.includes('{') ? parse(message, { captureLocation: false, ignoreTag: true }) : message,
  ]);
  return JSON.stringify(Object.fromEntries(messages));
}

const PARSER = '@formatjs/icu-messageformat-parser';

export const compileMessages = {
  name: 'compile messages',
  setup(build) {
    build.onLoad({ filter: /[\\/]words[\\/]messages[\\/].+\.json$/ }, async ({ path }) => ({
      contents: compiled(await readFile(path, 'utf8')),
      loader: 'json',
    }));
    build.onResolve({ filter: new RegExp(`^${PARSER}$`) }, ({ resolveDir }) =>
      build.resolve(`${PARSER}/no-parser.js`, { kind: 'import-statement', resolveDir }),
    );
  },
};
