/** What a shot takes by its card, to say a share of it in seconds: a café on another basket has another time. */
import { medianOf } from '../patterns/series';

/** The middle of a card's window at a café, from the pump. */
export interface TimeAtCafe {
  readonly cafe: string;
  readonly coffee: string;
  readonly timeS: number;
}

/** Where no café has a card. House heuristic: the commonest window's middle. */
const USUAL_TIME_S = 28;

/**
 * @param times the newest card of each coffee at each café
 * @param coffee any where null
 * @returns the café's own where it serves the coffee, else that of most cafés that do, else that of most coffees, s
 */
export function usualTimeS(
  times: readonly TimeAtCafe[],
  coffee: string | null,
  cafe?: string,
): number {
  const of = coffee === null ? times : times.filter((one) => one.coffee === coffee);
  const there = of.filter((one) => one.cafe === cafe);
  const [those] = [there, of, times].filter(({ length }) => length > 0);
  return medianOf((those ?? []).map(({ timeS }) => timeS)) ?? USUAL_TIME_S;
}
