/** Seeded chance: what is drawn with one seed today is drawn tomorrow. */
export interface Chance {
  /** Uniform in 0-1. */
  readonly uniform: () => number;
  /** Normal with mean 0 and sd 1. */
  readonly normal: () => number;
  readonly isWithin: (probability: number) => boolean;
  readonly oneOf: <T>(all: readonly T[]) => T;
  /** All orders are equally likely. */
  readonly shuffled: <T>(all: readonly T[]) => T[];
}

/** Mulberry32, a published 32-bit generator; enough for made-up shots and houses, not for statistics. */
export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  // Box-Muller (published).
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return {
    uniform,
    normal,
    isWithin: (probability) => uniform() < probability,
    oneOf: (all) => all[Math.floor(uniform() * all.length)]!,
    shuffled: (all) => {
      const left = [...all];
      // Fisher-Yates (published).
      return all.map(() => left.splice(Math.floor(uniform() * left.length), 1)[0]!);
    },
  };
}
