/** How sure a setting is, in words. */
import { figure } from '../figure';
import { Z_80 } from '../grinder/dial';
import type { Proof } from './types';

/** Mean, band and probability of a setting, in one sentence. */
export function proofWords({ meanS, sdS, inWindow }: Proof): string {
  return `This setting runs ${figure(meanS, 1)} ± ${figure(Z_80 * sdS, 1)} s, ${surePct(inWindow)} % sure that it holds the window.`;
}

/** Never "100 % sure". */
export const surePct = (probability: number): number =>
  Math.min(99, Math.max(1, Math.round(100 * probability)));
