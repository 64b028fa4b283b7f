/**
 * How every figure is written, on screens and paper: British English, thousands grouped, as the words around it are. Figures that a form or a file reads
 * back are not written here: there a point parts decimals and nothing parts thousands.
 */
const formats = new Map<number, Intl.NumberFormat>();

function formatOf(digits: number): Intl.NumberFormat {
  const known = formats.get(digits);
  if (known) return known;
  const made = new Intl.NumberFormat('en-GB', {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    // Nothing is written "-0.0".
    signDisplay: 'negative',
  });
  formats.set(digits, made);
  return made;
}

/** "28.4", "1,850", "−0.8" with a true minus; `digits` after the point, 0 to 20. */
export function figure(value: number, digits: number): string {
  return formatOf(digits).format(value).replace('-', '−');
}

/** Whether what is written says nothing but zero. */
export const isNothing = (written: string) => !/[1-9]/.test(written);

/** "+0.5", "−0.8", "0.0": no sign where there is nothing. */
export function signed(value: number, digits = 1): string {
  const amount = figure(Math.abs(value), digits);
  if (isNothing(amount)) return amount;
  return `${value < 0 ? '−' : '+'}${amount}`;
}
