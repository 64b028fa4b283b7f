/** What stands on a paper of ours. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

export interface ReadPdf {
  readonly pages: number;
  /** Of its first page. */
  readonly text: string;
  readonly isTagged: boolean;
  readonly lang: string | undefined;
}

/** Words of its first page as they read, without the breaks of its lines. */
export async function readPdf(bytes: Uint8Array): Promise<ReadPdf> {
  const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false }).promise;
  const content = await (await pdf.getPage(1)).getTextContent();
  const text = content.items.map((item) => ('str' in item ? item.str : '')).join('');
  const { info } = (await pdf.getMetadata()) as { info: { Language?: string } };
  const isTagged = (await pdf.getMarkInfo())?.Marked === true;
  return { pages: pdf.numPages, text: squeezed(text), isTagged, lang: info.Language };
}

/** Where a line breaks, its space is not in the file: words are compared without any. */
export const squeezed = (text: string) => text.replace(/\s/g, '');
