/** How sure a setting is, as it is said. */
import { chanceMessage } from '../chance';
import { Z_80 } from '../grinder/dial';
import type { Message } from '../message';
import type { Proof } from './types';

export const proofFigures = ({ meanS, sdS, inWindow }: Proof) => ({
  meanS,
  half80S: Z_80 * sdS,
  chance: chanceMessage(inWindow),
});

/** Mean, band and probability of a setting. */
export const proofMessage = (proof: Proof): Message => ({
  id: 'advice.proof',
  values: proofFigures(proof),
});
