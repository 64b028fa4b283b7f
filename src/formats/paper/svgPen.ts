/** A pen that makes a drawing in SVG, for pictures. */
import { markupText } from '../markup';
import { ASCENT, setRuns } from './fonts';
import type { Look, Pen } from './pen';

export interface Drawing {
  readonly svg: string;
  /** Files of the fonts it is set in. */
  readonly fontFiles: readonly string[];
}

const familyOf = (path: string, files: Map<string, string>) => {
  if (!files.has(path)) files.set(path, `f${files.size}`);
  return path;
};

export function drawingOf(
  { width, height, paper }: { width: number; height: number; paper: string },
  draw: (pen: Pen) => void,
): Drawing {
  const parts: string[] = [];
  const files = new Map<string, string>();
  const pen: Pen = {
    text: (_role, lines) => {
      for (const { text, x, y, size, isStrong, colour } of lines) {
        let at = x;
        for (const { text: run, path, face, width: runWidth } of setRuns(text, isStrong)) {
          familyOf(path, files);
          const family = face ? FAMILY_NAMES[face.family] : 'Archivo';
          parts.push(
            `<text x="${at}" y="${y + ASCENT * size}" font-family="${family}" font-weight="${isStrong ? 600 : 400}" font-size="${size}" fill="${colour}" xml:space="preserve">${markupText(run)}</text>`,
          );
          at += runWidth * size;
        }
      }
    },
    box: ({ x, y, width: w, height: h, radius = 0 }, look) =>
      parts.push(
        `<rect x="${x}" y="${y}" width="${w}" height="${h}" rx="${radius}" ${looks(look)}/>`,
      ),
    path: (path, look, at) => {
      const moved = at ? ` transform="translate(${at.x} ${at.y}) scale(${at.scale})"` : '';
      parts.push(`<path d="${path}"${moved} ${looks(look)}/>`);
    },
    turnPage: () => {
      throw new Error('Broken invariant: a picture has one page');
    },
  };
  draw(pen);
  return {
    svg:
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">` +
      `<rect width="${width}" height="${height}" fill="${paper}"/>${parts.join('')}</svg>`,
    fontFiles: [...files.keys()],
  };
}

const FAMILY_NAMES = {
  'noto-sans': 'Noto Sans',
  'noto-sans-ethiopic': 'Noto Sans Ethiopic',
  'noto-sans-arabic': 'Noto Sans Arabic',
  'noto-sans-jp': 'Noto Sans JP',
  'noto-sans-kr': 'Noto Sans KR',
  'noto-sans-sc': 'Noto Sans SC',
} as const;

function looks({ fill, fillOpacity, stroke, width, dash }: Look): string {
  return [
    `fill="${fill ?? 'none'}"`,
    fillOpacity === undefined ? '' : `fill-opacity="${fillOpacity}"`,
    stroke ? `stroke="${stroke}" stroke-width="${width ?? 1}"` : '',
    dash ? `stroke-dasharray="${dash.join(' ')}"` : '',
  ].join(' ');
}
