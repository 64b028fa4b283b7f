/** Agreement to a number of significant digits, as the worked figures are printed. */
export function expectSignificant(actual: number, expected: number, digits = 4): void {
  expect(Number(actual.toPrecision(digits))).toBeCloseTo(
    expected,
    digits - 1 - Math.floor(Math.log10(Math.abs(expected))),
  );
}
