/** The shares of a blend make the whole coffee. */
import { fault, type Message } from '../message';

/** Shares are typed by hand: a tenth is forgiven. */
const TOLERANCE_PCT = 0.1;

/** What shares come to, without floating-point dust. */
export function shareSumPct(sharesPct: readonly number[]): number {
  return Number(sharesPct.reduce((sum, share) => sum + share, 0).toFixed(2));
}

/** What is wrong with the shares of all components; null when they make 100 %. */
export function sharesFault(sharesPct: readonly number[]): Message | null {
  const totalPct = shareSumPct(sharesPct);
  if (Math.abs(totalPct - 100) <= TOLERANCE_PCT) return null;
  return fault('shares.sum', { totalPct });
}

/** "60 / 25 / 15" as figures; null when it says none. What is no figure becomes NaN, for the fault to name. */
export function readShares(text: string): number[] | null {
  const parts = text.split(/[\s,;/%]+/).filter((part) => part !== '');
  return parts.length === 0 ? null : parts.map(Number);
}

/** What is wrong with the shares of a batch; null when they fit the components, or none are said. */
export function batchSharesFault(text: string, components: readonly unknown[]): Message | null {
  const shares = readShares(text);
  if (shares === null) return null;
  if (shares.length !== components.length || shares.some((share) => !(share > 0)))
    return fault('shares.count', { count: components.length });
  return sharesFault(shares);
}

/** The components as a batch was blended: its own shares where it has them, the blend's otherwise. */
export function blendedOf<C extends { readonly sharePct: number }>(
  components: readonly C[],
  sharesPct: string,
): readonly C[] {
  // A blend that was changed since has other components than this batch was blended from.
  if (batchSharesFault(sharesPct, components) !== null) return components;
  const shares = readShares(sharesPct);
  return shares === null
    ? components
    : components.map((component, i) => ({ ...component, sharePct: shares[i]! }));
}
