/** "36,5" and "36.5" both mean 36.5; an empty field is undefined; anything else stays text. */
export function readNumber(text: string): number | string | undefined {
  const trimmed = text.trim();
  if (trimmed === '') return undefined;
  const value = Number(trimmed.replace(',', '.'));
  return Number.isFinite(value) ? value : trimmed;
}
