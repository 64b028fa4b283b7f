/**
 * Lines of a text in a font: widths are asked of the font once for each word and scaled, so that trying
 * many sizes costs nothing. Pure, apart from what it remembers of a font.
 */

/** Width of a text at one point of size. */
export type WidthOf = (text: string) => number;

/** A font's widths, each word asked for once. */
export function remembered(ask: WidthOf): WidthOf {
  const known = new Map<string, number>();
  return (text) => {
    let width = known.get(text);
    if (width === undefined) {
      // Cards are many, words few; a forgotten one is asked for again.
      if (known.size > MOST_WORDS) known.clear();
      known.set(text, (width = ask(text)));
    }
    return width;
  };
}

const MOST_WORDS = 20_000;

/** A line may end after a space, a hyphen, a dash or a slash. */
const BREAKS = /(?<=[\s\-–—/])/u;

/**
 * The text in lines no wider than `width`, both at one point of size; a word that is wider than a line is
 * broken where the line ends.
 */
export function linesOf(text: string, width: number, widthOf: WidthOf): string[] {
  return text.split('\n').flatMap((paragraph) => linesOfParagraph(paragraph, width, widthOf));
}

function linesOfParagraph(text: string, width: number, widthOf: WidthOf): string[] {
  const lines: string[] = [];
  let line = '';
  let lineWidth = 0;
  const end = () => {
    lines.push(line.trimEnd());
    [line, lineWidth] = ['', 0];
  };
  const add = (piece: string) => {
    // A space at the end of a line takes no room.
    if (line !== '' && lineWidth + widthOf(piece.trimEnd()) > width) end();
    line += piece;
    lineWidth += widthOf(piece);
  };
  for (const piece of text.split(BREAKS))
    if (widthOf(piece.trimEnd()) <= width) add(piece);
    else for (const character of piece) add(character);
  end();
  return lines;
}
