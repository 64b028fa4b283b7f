/**
 * Where a house's "under" and "over" stand: some houses call a cup at its best a little under, others a little over.
 * What each release's cups say of it teaches the surfaces of the next. Source: a normal mean with a random
 * effect for each release (published, textbook); how the usual spread of .8 divides between houses and releases is a
 * house heuristic. Units: points of under less over, as in the cup sheet.
 */
import { USUAL_SIGNS, type SignOffset, type Surface } from './surface';

/** What one release says of it, its own expectation taken out again: precision, and precision × mean. */
export interface SignMessage {
  readonly precision: number;
  readonly weighted: number;
}

/** Houses differ by so much, and the releases of one house by what is left of the usual spread. House heuristic. */
const BETWEEN_HOUSES_SD = 0.65;
const WITHIN_VARIANCE = USUAL_SIGNS.sd ** 2 - BETWEEN_HOUSES_SD ** 2;

/** What a surface's cups say that its expectation had not; null where they say nothing. */
export function signMessageOf(
  { signOffset }: Pick<Surface, 'signOffset'>,
  expected: SignOffset = USUAL_SIGNS,
): SignMessage | null {
  const [after, before] = [signOffset.sd ** -2, expected.sd ** -2];
  const precision = after - before;
  if (precision <= 1e-9) return null;
  return { precision, weighted: signOffset.mean * after - expected.mean * before };
}

/** What the releases together expect of the next one. */
export function houseSigns(messages: readonly SignMessage[]): SignOffset {
  let precision = BETWEEN_HOUSES_SD ** -2;
  let weighted = USUAL_SIGNS.mean * precision;
  for (const message of messages) {
    const share = 1 / (1 + WITHIN_VARIANCE * message.precision);
    precision += share * message.precision;
    weighted += share * message.weighted;
  }
  return { mean: weighted / precision, sd: Math.sqrt(1 / precision + WITHIN_VARIANCE) };
}
