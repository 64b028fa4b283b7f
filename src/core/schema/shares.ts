/** The shares of a blend make the whole coffee. */

/** Shares are typed by hand: a tenth is forgiven. */
const TOLERANCE_PCT = 0.1;

/** What shares come to, without floating-point dust. */
export function shareSumPct(sharesPct: readonly number[]): number {
  return Number(sharesPct.reduce((sum, share) => sum + share, 0).toFixed(2));
}

/** What is wrong with the shares of all components, in words; null when they make 100 %. */
export function sharesFault(sharesPct: readonly number[]): string | null {
  const totalPct = shareSumPct(sharesPct);
  if (Math.abs(totalPct - 100) <= TOLERANCE_PCT) return null;
  return `The shares add up to ${totalPct} %. Change them so that they make 100 %.`;
}
