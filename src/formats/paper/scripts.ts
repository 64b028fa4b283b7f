/**
 * Fonts for names that Latin letters do not write: which shipped file has a sign, by the ranges its package names.
 * Read once, and only when such a sign is met. Node alone.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** In this order: the first that has a sign draws it. */
const FAMILIES = [
  'noto-sans',
  'noto-sans-ethiopic',
  'noto-sans-arabic',
  'noto-sans-jp',
  'noto-sans-kr',
  'noto-sans-sc',
] as const;
export type ScriptFamily = (typeof FAMILIES)[number];

export type ScriptWeight = 400 | 600;

export interface ScriptFace {
  readonly family: ScriptFamily;
  /** Name of the file in the package's folder `files`. */
  readonly file: string;
  readonly ranges: readonly (readonly [number, number])[];
  /** As a stylesheet writes them. */
  readonly rangeWords: string;
}

const folderOf = (family: ScriptFamily) =>
  join(/* turbopackIgnore: true */ process.cwd(), 'node_modules/@fontsource', family);

/** For paper: a PDF takes the outlines of the older packing only. */
export const paperFile = ({ family, file }: Pick<ScriptFace, 'family' | 'file'>) =>
  join(folderOf(family), 'files', file.replace(/woff2$/, 'woff'));

/** For pages. */
export const pageFile = ({ family, file }: Pick<ScriptFace, 'family' | 'file'>) =>
  join(folderOf(family), 'files', file);

/** The family a file belongs to: the longest whose name it begins with. */
export const scriptFamilyOf = (file: string): ScriptFamily | undefined =>
  [...FAMILIES].sort((a, b) => b.length - a.length).find((family) => file.startsWith(`${family}-`));

/** Signs up to here are in the house's own font: Latin with its marks. */
const LAST_LATIN = 0x24f;
/** Dashes, quotes, spaces and currency are too. */
const PUNCTUATION: readonly [number, number] = [0x2000, 0x20cf];

const isOwn = (sign: number) =>
  sign <= LAST_LATIN || (sign >= PUNCTUATION[0] && sign <= PUNCTUATION[1]) || isSymbol(sign);

/** Arrows, subscripts and signs of measure that cards use. */
const isSymbol = (sign: number) => sign >= 0x2100 && sign <= 0x23ff;

const faces = new Map<ScriptWeight, readonly ScriptFace[]>();

function facesOf(weight: ScriptWeight): readonly ScriptFace[] {
  const known = faces.get(weight);
  if (known) return known;
  const read = FAMILIES.flatMap((family) => {
    const css = readFileSync(join(folderOf(family), `${weight}.css`), 'utf8');
    const blocks = css.split('@font-face').slice(1);
    return blocks.flatMap((block): ScriptFace[] => {
      const file = /\.\/files\/([\w.-]+\.woff2)/.exec(block)?.[1];
      const rangeWords = /unicode-range:\s*([^;]+);/.exec(block)?.[1];
      return file && rangeWords ? [{ family, file, rangeWords, ranges: rangesOf(rangeWords) }] : [];
    });
  });
  faces.set(weight, read);
  return read;
}

/** "U+1200-1399, U+A8" as pairs. */
function rangesOf(words: string): [number, number][] {
  return words.split(',').flatMap((one): [number, number][] => {
    const found = /U\+([0-9a-f]+)(?:-([0-9a-f]+))?/i.exec(one);
    if (!found) return [];
    const from = parseInt(found[1]!, 16);
    return [[from, found[2] === undefined ? from : parseInt(found[2], 16)]];
  });
}

/** The face for a sign; null where the house's own font has it, or none of the shipped has. */
export function faceFor(sign: string, weight: ScriptWeight): ScriptFace | null {
  const code = sign.codePointAt(0)!;
  if (isOwn(code)) return null;
  return (
    facesOf(weight).find(({ ranges }) => ranges.some(([from, to]) => code >= from && code <= to)) ??
    null
  );
}

/** Every face a text needs beside the house's own font. */
export function facesIn(text: string, weight: ScriptWeight): readonly ScriptFace[] {
  const needed = new Set<ScriptFace>();
  for (const sign of new Set(text)) {
    const face = faceFor(sign, weight);
    if (face) needed.add(face);
  }
  return [...needed];
}

export interface Run {
  readonly text: string;
  readonly face: ScriptFace | null;
}

/** A text in runs of one font each; spaces and marks stay with what is before them. */
export function runsOf(text: string, weight: ScriptWeight): Run[] {
  const runs: { text: string; face: ScriptFace | null }[] = [];
  for (const sign of text) {
    const last = runs.at(-1);
    const face = /[\s\p{M}]/u.test(sign) && last ? last.face : faceFor(sign, weight);
    if (last && last.face === face) last.text += sign;
    else runs.push({ text: sign, face });
  }
  return runs;
}
