/** "12.3 45.6": a point in the words of an SVG path. */
export function svgPoint(x: number, y: number): string {
  return [x, y].map((value) => Number(value.toFixed(1))).join(' ');
}
