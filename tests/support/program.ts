/** The built program, as `npm start` runs it. */
export const programArgs = (name: 'server' | 'kb' | 'seedDemo'): readonly string[] => [
  '--enable-source-maps',
  `dist/${name}.mjs`,
];
