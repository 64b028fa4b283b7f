/** What a browser has and the tests' does not: dialogs look elements up by escaped ids. */
globalThis.CSS ??= {
  escape: (text) => String(text).replace(/[^\w-]/g, (sign) => `\\${sign}`),
  supports: () => false,
};
