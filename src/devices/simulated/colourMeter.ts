/** A colour meter that knows the roast it is shown and reads it with its usual scatter. */
import { chanceFrom } from '@/core/random';
import type { ColourMeter } from '../instruments';

/** Reading of a medium roast, and points per roast step darker. Made up, as is the instrument. */
const MEDIUM = 95;
const PER_STEP = -18;
const SCATTER = 1.2;

export function simulatedColourMeter(roastLevel: number, seed: number): ColourMeter {
  const chance = chanceFrom(seed);
  return {
    read: async () => ({
      colourGround: Math.round(
        Math.max(0, MEDIUM + PER_STEP * roastLevel + SCATTER * chance.normal()),
      ),
    }),
  };
}
