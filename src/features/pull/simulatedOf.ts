/** The simulated bench that stands in for a dial-in: always the same one for the same names. */
import { reachOf } from '@/core/programme/reach';
import { programmeOf } from '@/core/programme/styles';
import type { Programme } from '@/core/programme/step';
import type { DrawInput } from '@/core/simulator/drawStation';
import type { PullView } from '@/views/pull';
import type { Bench } from '@/views/release';

/** How far off the first dial is, sd in ln time: as a start from the house model is. */
const START_SD = 0.18;
/** Usual first drip where none was noted, s. */
const USUAL_DRIP_S = 6;

export function drawInputOf(
  { draft, setup, target, shots }: Bench,
  { coffee: { names, ...coffee } }: Pick<PullView, 'coffee'>,
): DrawInput {
  const drip = target.clock === 'firstDrip' ? (shots.at(-1)?.firstDripS ?? USUAL_DRIP_S) : 0;
  return {
    coffee,
    basket: { diameterMm: setup.basket.diameterMm, ratedG: setup.basket.ratedG },
    grinder: setup.grinder,
    recipe: {
      doseG: draft.recipe.doseG,
      yieldG: draft.recipe.yieldG,
      temperatureC: draft.recipe.temperatureC,
      programme: madeHere({ draft, setup }),
      centreS: (target.timeS[0] + target.timeS[1]) / 2 + drip,
    },
    startDial: draft.startDial,
    startSd: START_SD,
    seed: seedOf(names),
  };
}

/** What this machine makes of the recipe's programme: no stand-in can do more than what it stands for. */
export function madeHere({ draft, setup }: Pick<Bench, 'draft' | 'setup'>): Programme {
  return reachOf(programmeOf(draft), setup.machine).nearest;
}

/** A number from a text, the same every time (FNV-1a, published). */
function seedOf(id: string): number {
  let hash = 0x811c9dc5;
  for (const sign of id) hash = Math.imul(hash ^ sign.charCodeAt(0), 0x01000193) >>> 0;
  return hash;
}
