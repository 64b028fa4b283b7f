/** Altitude as the models take it: of a range, its middle. House heuristic. */
export function altitudeOf({
  altitudeM,
  altitudeToM,
}: {
  readonly altitudeM?: number | undefined;
  readonly altitudeToM?: number | undefined;
}): number | undefined {
  if (altitudeM === undefined || altitudeToM === undefined) return altitudeM ?? altitudeToM;
  return (altitudeM + altitudeToM) / 2;
}
