interface Altitude {
  readonly altitudeM?: number | undefined;
  readonly altitudeToM?: number | undefined;
}

/** "1100-1200 m"; nothing where no altitude is known. */
export function altitudeWords({ altitudeM, altitudeToM }: Altitude): string {
  const known = [altitudeM, altitudeToM].filter((metres) => metres !== undefined);
  return known.length === 0 ? '' : `${known.join('-')} m`;
}

/** Altitude as the models take it: of a range, its middle. House heuristic. */
export function altitudeOf({ altitudeM, altitudeToM }: Altitude): number | undefined {
  if (altitudeM === undefined || altitudeToM === undefined) return altitudeM ?? altitudeToM;
  return (altitudeM + altitudeToM) / 2;
}
