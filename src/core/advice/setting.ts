/** Where a bench is set: what the next shot is meant to have. */
import type { Move, Setting } from './types';

/** The setting a move leads to; moves of the recipe leave dial and dose alone. */
export function settingAfter(here: Setting, move: Move | null): Setting {
  if (move?.variable === 'dial') return { dial: move.to, doseG: move.doseTrim?.to ?? here.doseG };
  return move?.variable === 'doseG' ? { ...here, doseG: move.to } : here;
}

/** The dose a shot was meant to have: trimmed on purpose, or the recipe's. */
export function doseInForce(
  shot: { readonly aimDoseG?: number | undefined } | undefined,
  recipe: { readonly doseG: number },
): number {
  return shot?.aimDoseG ?? recipe.doseG;
}
