/** The best recipe the cups of a release have shown so far. Server only. */
import { pumpSeconds, USUAL_FIRST_DRIP_S } from '@/core/extraction/clock';
import { referenceStretch } from '@/core/fits/basketLaw';
import { outputOf, questionRow, rowOfPast } from '@/core/start/fit';
import {
  byJointOutput,
  JOINT_OUTPUTS,
  learnJoint,
  predictJoint,
  siteOfRecipe,
  type JointModel,
} from '@/core/start/joint';
import { priorFor } from '@/core/start/priors';
import { tasteDirection } from '@/core/taste/direction';
import {
  bestRecipe,
  firstCupPoints,
  type BestRecipe,
  type ScoredCup,
} from '@/core/trials/bestRecipe';
import { placeAt, STEP } from '@/core/trials/coding';
import type { ReleaseFacts } from '@/core/coffee/features';
import type { BrewStyle, TemperatureSchool } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { kept } from '@/data/kept';
import { MODEL_RESTS_ON, readHouseModel, rulesOf } from './houseModel';
import type { Bench, ReleaseView } from './release';

export interface BestView extends BestRecipe {
  /** Past recipes behind the proposal it starts from. */
  readonly releases: number;
  readonly doseG: number;
}

/** Null without a recipe on the bench. */
export function readBest(db: Db, house: House, view: ReleaseView): BestView | null {
  const { bench, release } = view;
  if (!bench) return null;
  const { style, temperatureSchool, recipe } = bench.draft;
  const key = `${release.id} ${bench.draft.id} ${view.today}`;
  return kept(
    db,
    { name: 'best recipe', restsOn: [...MODEL_RESTS_ON, 'shot', 'tasting'], key },
    () => {
      const { model, releases } = jointModel(db, house, {
        school: temperatureSchool,
        without: release.id,
      });
      const [, row] = questionRow(view.facts, style);
      const { mean, covariance } = predictJoint(model, row);
      const stretch = referenceStretch(bench.setup.basket);
      const expected = placeAt({ ratio: 1, temperatureC: 0, timeS: 1 }, mean);
      return {
        ...bestRecipe({
          centre: { ...expected, timeS: expected.timeS * stretch },
          prior: covariance,
          cups: cupsOf(bench, view.batch.roast.level ?? 0),
          doseG: recipe.doseG,
          release: releaseNumber(release.id),
          fixedTemperatureC: bench.setup.machine.settableTemperature
            ? undefined
            : recipe.temperatureC,
        }),
        releases,
        doseG: recipe.doseG,
      };
    },
  );
}

/** How near to its best a first cup of this coffee should be, and how many past recipes say so. */
export function readFirstCup(
  db: Db,
  house: House,
  { facts, style, school, releaseId }: FirstCup,
): { readonly points: number; readonly releases: number } {
  const { model, releases } = jointModel(db, house, { school, without: releaseId });
  const [, row] = questionRow(facts, style);
  return { points: firstCupPoints(predictJoint(model, row).covariance), releases };
}

interface FirstCup {
  readonly facts: ReleaseFacts;
  readonly style: BrewStyle;
  readonly school: TemperatureSchool;
  readonly releaseId: string;
}

/**
 * The start model of ratio, temperature and time together, from what the house decided on for other releases:
 * a coffee's own recipe is no proof of itself.
 */
function jointModel(
  db: Db,
  house: House,
  { school, without }: { readonly school: TemperatureSchool; readonly without: string },
): { readonly model: JointModel; readonly releases: number } {
  const { history } = readHouseModel(db, house);
  const isOwn = history.some(({ release }) => release.id === without);
  const key = `${school} ${isOwn ? without : ''}`;
  return kept(db, { name: 'joint model', restsOn: MODEL_RESTS_ON, key }, () => {
    const own = rulesOf(house);
    const sites = history.flatMap((past) => {
      if (past.release.id === without) return [];
      const values = JOINT_OUTPUTS.map((output) => {
        const value = outputOf(past, output);
        return value === null ? null : value / STEP[output];
      });
      if (!values.every((value) => value !== null)) return [];
      return [{ ...siteOfRecipe(values), row: rowOfPast(past), weight: past.weight ?? 1 }];
    });
    const rules = byJointOutput((output) => priorFor(output, school, own));
    const model = learnJoint({ sites, rules });
    return { model, releases: sites.length };
  });
}

/** Straight cups that were liked or not, of shots that ran; each where its shot really was. */
function cupsOf({ shots, target, draft }: Bench, roastLevel: number): ScoredCup[] {
  return shots.flatMap((shot) => {
    const { choked, gushing, timeOnTargetClockS, side } = shot.mark;
    if (choked || gushing) return [];
    const dripS = target.clock === 'pump' ? 0 : (shot.firstDripS ?? USUAL_FIRST_DRIP_S);
    const timeS = pumpSeconds(timeOnTargetClockS + dripS);
    return shot.tastings.flatMap((tasting): ScoredCup[] => {
      const { liking } = tasting.scales;
      if (liking === undefined || tasting.serving !== 'straight') return [];
      const { verdict, under, over } = tasteDirection(tasting.scales, roastLevel, side === 'fast');
      return [
        {
          ratio: shot.yieldG / shot.doseG,
          temperatureC: shot.temperatureC ?? draft.recipe.temperatureC,
          timeS,
          taster: tasting.tastedById,
          liking,
          // A sheet that points nowhere says nothing; an uneven cup speaks of its preparation.
          u: verdict === 'unclear' || verdict === 'uneven' ? undefined : under - over,
        },
      ];
    });
  });
}

/** A number of its own for each release, from its id. */
const releaseNumber = (id: string): number => parseInt(id.slice(0, 5), 16) % 5000;
