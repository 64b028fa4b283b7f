/**
 * Mass in the cup from a volume read by eye: fresh espresso with its crema has about .75 g in each visible
 * millilitre, .6 to .95. House heuristic (model.md §0): whatever is made of it is rough.
 */
import { ML_PER_FL_OZ } from '../units';

export const USUAL_CREMA_G_PER_ML = 0.75;

/** sd of ln mass where it was read by volume: crema fools the eye. House heuristic, within .6 to .95. */
export const VOLUME_LN_SD = 0.15;

/** Grams in the cup for a visible volume, to .1 g. */
export function massOfVolume(ml: number, cremaGPerMl: number): number {
  return Number((ml * cremaGPerMl).toFixed(1));
}

/** Visible millilitres of a mass, whole: what a recipe is on a marked cup. */
export function volumeOfMass(g: number, cremaGPerMl: number): number {
  return Math.round(g / cremaGPerMl);
}

/** Millilitres of a text that names its unit, "48 ml" or "1,6 fl oz"; null when it is no volume. */
export function readVolume(text: string): number | null {
  const found = /^([\d.,]+)\s*(ml|fl\.?\s*oz\.?)$/i.exec(text.trim());
  if (!found) return null;
  const figure = Number(found[1]!.replace(',', '.'));
  if (!Number.isFinite(figure)) return null;
  return found[2]!.toLowerCase() === 'ml' ? figure : Number((figure * ML_PER_FL_OZ).toFixed(1));
}
