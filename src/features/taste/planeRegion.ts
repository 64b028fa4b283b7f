/** What page and drawing of strength and extraction share; the drawing itself is fetched when it is seen. */
export const PLANE_HEIGHT_PX = 300;

/** Where the house likes its cups to lie. */
export interface Region {
  readonly tds: readonly [number, number];
  readonly extraction: readonly [number, number];
}
