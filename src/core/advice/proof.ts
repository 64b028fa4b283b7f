/** How sure a setting is, as it is said. */
import { Z_80 } from '../grinder/dial';
import type { Message } from '../message';
import type { Proof } from './types';

/** Never "100 % sure". */
export const surePct = (probability: number): number =>
  Math.min(99, Math.max(1, Math.round(100 * probability)));

export const proofFigures = ({ meanS, sdS, inWindow }: Proof) => ({
  meanS,
  half80S: Z_80 * sdS,
  surePct: surePct(inWindow),
});

/** Mean, band and probability of a setting. */
export const proofMessage = (proof: Proof): Message => ({
  id: 'advice.proof',
  values: proofFigures(proof),
});
