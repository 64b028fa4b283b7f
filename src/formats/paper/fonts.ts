/** The fonts of papers as they measure, and where their files stand. Node alone. */
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { runsOf, paperFile, type ScriptFace, type ScriptWeight } from './scripts';
import { remembered, type WidthOf } from './textLines';

const FONT_FOLDER = join(/* turbopackIgnore: true */ process.cwd(), 'src/formats/fonts');
export const FONT_FILES = {
  text: join(FONT_FOLDER, 'Archivo-Regular.ttf'),
  strong: join(FONT_FOLDER, 'Archivo-SemiBold.ttf'),
} as const;

/** Share of its size the house's own font stands above the line: every run of a line stands on it. */
export const ASCENT = 0.878;

export const weightOf = (isStrong: boolean): ScriptWeight => (isStrong ? 600 : 400);

/** Copied text must be the text: no ligatures. */
export const PLAIN = {
  liga: false,
  dlig: false,
  clig: false,
} as unknown as PDFKit.Mixins.OpenTypeFeatures[];

export interface Font {
  readonly widthOf: WidthOf;
  /** Of one point of size. */
  readonly lineHeight: number;
}

/** Asked at a large size, so that rounding does not count. */
const ASKED_PT = 1000;

const widths = new Map<string, WidthOf>();

function widthIn(path: string): WidthOf {
  let known = widths.get(path);
  if (!known) {
    const doc = new PDFDocument({ font: path }).fontSize(ASKED_PT);
    known = remembered((text) => doc.widthOfString(text, { features: PLAIN }) / ASKED_PT);
    widths.set(path, known);
  }
  return known;
}

const pathOf = (face: ScriptFace | null, isStrong: boolean) =>
  face ? paperFile(face) : isStrong ? FONT_FILES.strong : FONT_FILES.text;

/** A text in runs with the file each is set in and its width at one point. */
export function setRuns(text: string, isStrong: boolean) {
  return runsOf(text, weightOf(isStrong)).map(({ text: part, face }) => {
    const path = pathOf(face, isStrong);
    return { text: part, path, face, width: widthIn(path)(part) };
  });
}

let fonts: Readonly<Record<'text' | 'strong', Font>> | undefined;

/** The fonts as they measure; read once. */
export function fontOf(isStrong: boolean): Font {
  fonts ??= { text: measured(false), strong: measured(true) };
  return isStrong ? fonts.strong : fonts.text;
}

function measured(isStrong: boolean): Font {
  const path = isStrong ? FONT_FILES.strong : FONT_FILES.text;
  const doc = new PDFDocument({ font: path }).fontSize(ASKED_PT);
  return {
    widthOf: remembered((text) =>
      setRuns(text, isStrong).reduce((sum, { width }) => sum + width, 0),
    ),
    lineHeight: doc.currentLineHeight(true) / ASKED_PT,
  };
}
