/**
 * A figure as people type it: "36,5" and "36.5" both mean 36.5, spaces between digits say nothing. An
 * empty text is undefined; anything else stays the text it is, for the edge to name.
 */
export function readNumber(text: string): number | string | undefined {
  const figure = text.replace(/\s/g, '');
  if (figure === '') return undefined;
  const value = Number(figure.replace(',', '.'));
  return Number.isFinite(value) ? value : text.trim();
}
