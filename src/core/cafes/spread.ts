/**
 * How far cafés really stray from a recipe, for its robust optimum and the tolerance its card prints: scatter within a
 * café and between cafés, g (house heuristic: worth 20 weighings and five cafés of the usual spread).
 */
import { medianOf } from '../patterns/series';

export interface CafeSpread {
  readonly withinSdG: number;
  readonly betweenSdG: number;
  readonly cafes: number;
  readonly weighings: number;
}

const USUAL = {
  dose: { within: 0.3, between: 0.2 },
  yield: { within: 1.5, between: 1 },
} as const;
const WORTH = { weighings: 20, cafes: 6, less: 1 } as const;
/** Further from the café's middle than so many usual sds: a slip of the pen. */
const SLIP_SDS = 4;

/** @param offG what each café weighed less what the recipe says, a list for each café */
export function spreadOfCafes(
  offG: readonly (readonly number[])[],
  kind: 'dose' | 'yield',
): CafeSpread {
  const usual = USUAL[kind];
  const kept = offG
    .map((those) => {
      const middle = medianOf(those) ?? 0;
      return those.filter((off) => Math.abs(off - middle) <= SLIP_SDS * usual.within);
    })
    .filter(({ length }) => length > 0);
  const means = kept.map((those) => those.reduce((a, b) => a + b, 0) / those.length);
  const squares = kept.reduce(
    (sum, those, i) => sum + those.reduce((total, off) => total + (off - means[i]!) ** 2, 0),
    0,
  );
  const freedom = kept.reduce((sum, those) => sum + those.length - 1, 0);
  const withinSdG = Math.sqrt(
    (WORTH.weighings * usual.within ** 2 + squares) / (WORTH.weighings + freedom),
  );
  const grand = means.reduce((a, b) => a + b, 0) / Math.max(1, means.length);
  const around = means.reduce((sum, mean) => sum + (mean - grand) ** 2, 0);
  const ofChance = kept.reduce((sum, { length }) => sum + withinSdG ** 2 / length, 0);
  const betweenSdG = Math.sqrt(
    (WORTH.cafes * usual.between ** 2 + Math.max(0, around - ofChance)) /
      (WORTH.cafes - WORTH.less + kept.length),
  );
  return {
    withinSdG,
    betweenSdG,
    cafes: kept.length,
    weighings: kept.reduce((sum, { length }) => sum + length, 0),
  };
}
