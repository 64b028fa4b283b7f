/**
 * A figure as people type it: "36,5" and "36.5" both mean 36.5, spaces between digits say nothing. Where a
 * comma or a point may as well part thousands, "1,850", nobody guesses. An empty text is undefined; what is
 * no figure, or may be two, stays the text it is, for the edge to name.
 */
export function readNumber(text: string): number | string | undefined {
  const figure = text.replace(/\s/g, '');
  if (figure === '') return undefined;
  if (isAmbiguous(figure)) return text.trim();
  const value = Number(ungrouped(figure).replace(',', '.'));
  return Number.isFinite(value) ? value : text.trim();
}

/** A comma with three digits behind it, and no sign beside it that says what it is: 1,850. */
export function isAmbiguous(figure: string): boolean {
  return /^-?[1-9]\d{0,2},\d{3}$/.test(figure.replace(/\s/g, ''));
}

/** Figures whose groups can be nothing else: 1,850.5 and 1.850,5, 12,345,678 and 12'345. */
function ungrouped(figure: string): string {
  const sign = figure.startsWith('-') ? '-' : '';
  const digits = figure.slice(sign.length);
  if (/^\d{1,3}(,\d{3})+\.\d+$/.test(digits) || /^\d{1,3}(,\d{3}){2,}$/.test(digits))
    return sign + digits.replaceAll(',', '');
  if (/^\d{1,3}(\.\d{3})+,\d+$/.test(digits) || /^\d{1,3}(\.\d{3}){2,}$/.test(digits))
    return sign + digits.replaceAll('.', '');
  return /^\d{1,3}(['’]\d{3})+$/.test(digits) ? sign + digits.replace(/['’]/g, '') : figure;
}
