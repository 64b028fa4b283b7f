/** "+0.5", "−0.8", "0.0": a true minus, and no sign where there is nothing. */
export function signed(value: number, digits = 1): string {
  const text = Math.abs(value).toFixed(digits);
  if (Number(text) === 0) return text;
  return `${value < 0 ? '−' : '+'}${text}`;
}
