/** The forms of machine, grinder and basket as text, and what is sent of them. No DOM. */
import { BASKET, GRINDER, MACHINE, PARTS, type Part } from '@/core/entity/equipment';
import type { Fields, FormValues } from '@/core/entity/field';
import type { StoredParts } from '@/data/equipment';
import { sentOf, textOf, type EntryText } from '@/ui/entryText';

export type PartTexts = { readonly [P in Part]: EntryText<(typeof PARTS)[P]> };
export type GrinderText = PartTexts['grinder'];

/** A new part begins as the trade's commonest. House heuristic. */
export const NEW_PARTS: PartTexts = {
  machine: textOf(MACHINE, { settableTemperature: true }),
  grinder: textOf(GRINDER, { stepSize: 1, finerIs: 'lower', min: 0, max: 40, retentionG: 2 }),
  basket: textOf(BASKET, { diameterMm: 58, ratedG: 18 }),
};

export function partTextOf<P extends Part>(part: P, stored: StoredParts[P]): PartTexts[P] {
  return textOf(PARTS[part] as Fields, stored) as unknown as PartTexts[P];
}

/** What is sent: figures as numbers, unknown ones left out. */
export function partSent<P extends Part>(
  part: P,
  text: PartTexts[P],
): FormValues<(typeof PARTS)[P]> {
  const sent = sentOf(PARTS[part] as Fields, text as never);
  // A settable machine stands at no temperature of its own.
  const isSettable = part === 'machine' && sent.settableTemperature === true;
  return (isSettable ? { ...sent, fixedTemperatureC: undefined } : sent) as never;
}
