/** From what stands on the bench to the body of the next published version. */
import { userFault } from '@/core/errors';
import type { House } from '@/data/house';
import type { Bench, ReleaseView } from '@/data/releaseView';
import { displayTemperatureC } from '@/core/start/setupLimits';
import type { StoredSetup } from '@/data/setups';
import type { RecipeBody } from '@/formats/recipeDocument';

export interface PublishWords {
  readonly right: string;
  readonly short: string;
  readonly long: string;
  readonly whatChanged: string;
}

/** The body that publishing now would make. */
export function publishedBody(
  house: House,
  view: ReleaseView,
  words: PublishWords,
  today: string,
): RecipeBody {
  const { release, batch, bench, versions } = view;
  if (!bench)
    throw userFault('refused', '', 'There is no recipe on the bench. Accept a proposal at Start.');
  const { draft, setup, target } = bench;
  const landed = landedAtSetting(bench);
  const doseG = landed.at(-1)?.aimDoseG ?? draft.doseG;
  return {
    roastery: house.name,
    coffee: {
      name: release.name,
      components: release.components.map(
        ({ id: _id, moisturePct: _moisturePct, ...component }) => component,
      ),
      roastDate: batch.roastDate,
      roastLevel: batch.roast.level ?? undefined,
      promisedNotes: release.promisedNotes,
    },
    recipe: {
      doseG,
      yieldG: draft.yieldG,
      ratio: draft.yieldG / doseG,
      temperatureC: draft.temperatureC,
      timeS: [draft.timeLowS, draft.timeHighS],
      clock: draft.clock,
      programme: draft.programme,
      ...(draft.steps && { steps: draft.steps }),
      restDays: [draft.restFrom, draft.restTo],
    },
    style: draft.style,
    temperatureSchool: draft.temperatureSchool,
    temperatureMeasured: measuredWords(draft.temperatureC, setup),
    tolerance: { doseG: target.doseToleranceG, yieldG: target.yieldToleranceG },
    setup: {
      machine: setup.machine.name,
      grinder: setup.grinder.name,
      dial: landed.at(-1)?.dial ?? bench.shots.at(-1)?.dial ?? draft.startDial,
      basket: setup.basket.name,
      diameterMm: setup.basket.diameterMm,
      ratedG: setup.basket.ratedG,
    },
    sensory: { right: words.right, short: words.short, long: words.long },
    fits: [],
    confirmedShots: landed.length,
    version: (versions[0]?.number ?? 0) + 1,
    publishedOn: today,
    whatChanged: words.whatChanged,
  };
}

/** The run of landed shots of this very recipe, at one setting, that ends the dial-in. */
function landedAtSetting({ shots, draft }: Bench) {
  const last = shots.at(-1);
  if (!last?.mark.landed) return [];
  const run = [];
  for (const shot of [...shots].reverse()) {
    const isOfThis = shot.draftId === draft.id && Math.abs(shot.dial - last.dial) < 1e-9;
    if (!shot.mark.landed || !isOfThis) break;
    run.unshift(shot);
  }
  return run;
}

/** Where the temperature holds: at the group when the house knows how far its display is off. */
function measuredWords(temperatureC: number, { machine }: StoredSetup): string {
  const displayC = displayTemperatureC(temperatureC, machine);
  return displayC === null
    ? 'as set on the machine'
    : `at the group; this machine was set to ${displayC.toFixed(1)} °C`;
}
