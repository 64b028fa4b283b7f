/**
 * The dial of a check that did not write it down. Variances in steps² (house heuristic): nothing for a known dial;
 * between two known ones it lies about their middle; after the last known one it wanders; never known, it is the first.
 */
export interface PlacedDial {
  readonly dial: number;
  readonly varianceSteps2: number;
}

const BETWEEN_LEAST = 0.05;
const WANDER_A_VISIT = 0.16;
const WANDER_MOST_VISITS = 12;
const NEVER_KNOWN = 0.64;
/** The first shot after a move still holds this much of the old setting. */
const OLD_GROUNDS = 0.2;

/** @param dials of one coffee at one café, in order of time; null where it was not written down. */
export function placeDials(dials: readonly (number | null)[], first: number): PlacedDial[] {
  let last: { dial: number; at: number } | null = null;
  const next = nextKnown(dials);
  return dials.map((dial, at) => {
    if (dial !== null) {
      const moved = last === null ? 0 : dial - last.dial;
      last = { dial, at };
      return { dial, varianceSteps2: (OLD_GROUNDS * moved) ** 2 };
    }
    const later = next[at] ?? null;
    if (last === null) return { dial: later ?? first, varianceSteps2: NEVER_KNOWN };
    if (later === null) {
      const visits = Math.min(at - last.at, WANDER_MOST_VISITS);
      return { dial: last.dial, varianceSteps2: WANDER_A_VISIT * visits };
    }
    const half = (later - last.dial) / 2;
    return { dial: last.dial + half, varianceSteps2: half ** 2 + BETWEEN_LEAST };
  });
}

function nextKnown(dials: readonly (number | null)[]): (number | null)[] {
  let known: number | null = null;
  return [...dials]
    .reverse()
    .map((dial) => {
      const after = known;
      known = dial ?? known;
      return after;
    })
    .reverse();
}
