/** What a flight can ask, in words and limits: no computation, so that any screen may know it. */
export const FLIGHT_TESTS = ['paired', 'triangle', 'ranking', 'scored'] as const;
export type FlightTest = (typeof FLIGHT_TESTS)[number];

export const FLIGHT_TEST_LABELS: Record<FlightTest, string> = {
  paired: 'Which of two is preferred',
  triangle: 'Find the odd one of three',
  ranking: 'Three or more in order',
  scored: 'Each scored alone',
};

/** So many things can be compared by each test. */
export const ARMS: Record<FlightTest, { readonly least: number; readonly most: number }> = {
  paired: { least: 2, most: 2 },
  triangle: { least: 2, most: 2 },
  ranking: { least: 3, most: 6 },
  scored: { least: 2, most: 9 },
};
