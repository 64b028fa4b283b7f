/** What a browser has and the tests' does not: its database, and escaped ids by which dialogs look up. */
globalThis.structuredClone ??= (value) =>
  require('node:v8').deserialize(require('node:v8').serialize(value));
require('fake-indexeddb/auto');
globalThis.CSS ??= {
  escape: (text) => String(text).replace(/[^\w-]/g, (sign) => `\\${sign}`),
  supports: () => false,
};
