/** A pen that makes a tagged PDF: its fonts embedded, its language and headings said, what only decorates marked as such. */
import PDFDocument from 'pdfkit';
import type { Language } from '@/core/language';
import { LOCALES } from '@/words/figures';
import { ASCENT, FONT_FILES, PLAIN, setRuns } from './fonts';
import type { Look, Pen } from './pen';

export interface PaperFacts {
  readonly title: string;
  readonly author: string;
  readonly language: Language;
  /** yyyy-mm-dd; the same paper of the same day is the same file. */
  readonly madeOn: string;
  /** Points. */
  readonly size: readonly [number, number];
}

/** Draws with a pen and answers the file. */
export function pdfOf(
  { title, author, language, madeOn, size }: PaperFacts,
  draw: (pen: Pen) => void,
): Promise<Uint8Array<ArrayBuffer>> {
  const page = { size: [...size] as [number, number], margin: 0 };
  const doc = new PDFDocument({
    ...page,
    font: FONT_FILES.text,
    // Text that runs over is measured and set again smaller, never put on a second page.
    autoFirstPage: false,
    pdfVersion: '1.7',
    tagged: true,
    lang: LOCALES[language],
    displayTitle: true,
    info: { Title: title, Author: author, CreationDate: new Date(`${madeOn}T00:00:00Z`) },
  });
  const chunks: Buffer[] = [];
  const bytes = new Promise<Uint8Array<ArrayBuffer>>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
    doc.on('error', reject);
  });
  doc.addPage(page);
  const root = doc.struct('Document');
  doc.addStructure(root);
  draw(penOn(doc, root, () => doc.addPage(page)));
  root.end();
  doc.end();
  return bytes;
}

function penOn(
  doc: PDFKit.PDFDocument,
  root: PDFKit.PDFStructureElement,
  turnPage: () => void,
): Pen {
  const decoration = (draw: () => void) => {
    doc.markContent('Artifact', { type: 'Layout' });
    draw();
    doc.endMarkedContent();
  };
  return {
    text: (role, lines) => {
      root.add(
        doc.struct(role, {}, () => {
          for (const { text, x, y, size, isStrong, colour } of lines) {
            let at = x;
            for (const { text: run, path, width } of setRuns(text, isStrong)) {
              doc.font(path).fontSize(size).fillColor(colour);
              doc.text(run, at, y + ASCENT * size, {
                lineBreak: false,
                features: PLAIN,
                baseline: 'alphabetic',
              });
              at += width * size;
            }
          }
        }),
      );
    },
    box: ({ x, y, width, height, radius = 0 }, look) =>
      decoration(() => {
        doc.roundedRect(x, y, width, height, radius);
        paint(doc, look);
      }),
    path: (path, look, at) =>
      decoration(() => {
        doc.save();
        if (at) doc.translate(at.x, at.y).scale(at.scale);
        doc.path(path);
        paint(doc, look);
        doc.restore();
      }),
    turnPage,
  };
}

function paint(
  doc: PDFKit.PDFDocument,
  { fill, fillOpacity, stroke, width = 1, dash }: Look,
): void {
  if (fill) {
    doc
      .fillOpacity(fillOpacity ?? 1)
      .fill(fill)
      .fillOpacity(1);
    return;
  }
  if (!stroke) return;
  doc.lineWidth(width).strokeColor(stroke);
  if (dash) doc.dash(dash[0], { space: dash[1] });
  doc.stroke().undash();
}
