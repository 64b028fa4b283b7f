/** Of the drawing of staged cups; the drawing itself is fetched when it is seen. */
export const STAGED_HEIGHT_PX = 190;
