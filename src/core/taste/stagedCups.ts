/**
 * Staged cups: the cup is changed while the shot runs, and each part is tasted alone. First sour and
 * thick, then sweet, then thin and drying.
 */

/** Seconds from the first drip, and from cup to cup: sooner for dark, later for light. Trade practice, 5 to 10 s. */
export function cupEveryS(roastLevel: number): number {
  const [dark, light] = [5, 10];
  return Math.round(Math.min(light, Math.max(dark, 7 - 2 * roastLevel)));
}
