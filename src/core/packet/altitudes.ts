/** Altitudes as bags write them: "1,900-2,100 masl", "1.950 m", "6,200 ft". */
import { LIMITS } from '../limits';

/** Exact by definition. */
const M_PER_FT = 0.3048;
/** No coffee is grown below this; a smaller figure is a mass or a year's harvest. House heuristic. */
const LEAST_M = 200;

/** Lowest and, of a range, highest altitude in whole metres; null where none is written. */
export function readAltitudes(
  text: string,
  /** A label says that it is one: the unit may be missing. */
  isLabelled: boolean,
): readonly [number, number?] | null {
  const found =
    /(\d[\d.,]*)(?:\s*(?:m|masl)?\s*(?:-|–|—|to|bis)\s*(\d[\d.,]*))?\s*(ft|feet|m)?/iu.exec(text);
  if (!found || (!isLabelled && !found[3])) return null;
  const perUnit = /^f/i.test(found[3] ?? '') ? M_PER_FT : 1;
  const metres = [found[1], found[2]]
    .filter((figure) => figure !== undefined)
    .map((figure) => Math.round(perUnit * Number(figure.replace(/[.,](?=\d{3})/g, ''))));
  if (!metres.every((metre) => metre >= LEAST_M && metre <= LIMITS.altitudeM.max)) return null;
  const [low, high] = metres.sort((a, b) => a - b);
  return high === undefined || high === low ? [low!] : [low!, high];
}
