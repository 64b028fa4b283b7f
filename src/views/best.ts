/** The best recipe the cups of a release have shown so far. Server only. */
import { benchQuestion } from '@/core/advice/benchQuestion';
import { dialFor } from '@/core/advice/dialFor';
import type { ReleaseFacts } from '@/core/coffee/features';
import { referenceStretch } from '@/core/extraction/basketLaw';
import { questionRow } from '@/core/start/fit';
import { predictJoint } from '@/core/start/joint';
import { expectedSigns, type Expected, type TasteModel } from '@/core/start/learnTaste';
import { bestRecipe, firstCupPoints, type BestRecipe } from '@/core/trials/bestRecipe';
import { placeAt, type TrialPoint } from '@/core/trials/coding';
import { roomOf, type Room } from '@/core/trials/room';
import { settableG } from '@/core/extraction/settable';
import { cupsOfShots } from '@/core/trials/shotCups';
import type { BrewStyle, TemperatureSchool } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { findTrial, type StoredTrial } from '@/data/trials';
import { cached } from '@/data/cache';
import { cafeSpread } from './cafeSpread';
import { cafeTastes, TASTE_WORD_TAGS, type CafeTaste } from './cafeTastes';
import { MODEL_TAGS, readHouseModel } from './houseModel';
import { learntFor, type Bench, type ReleaseView } from './release';
import { numberOf } from './tasteEvidence';
import { boundsOf, readAim, type Aim } from './trial';

/** A cup to pull next, and where its grinder should stand for its time. */
export interface NextCup extends TrialPoint {
  readonly yieldG: number;
  readonly dial: number;
}

export interface BestView extends Omit<BestRecipe, 'next' | 'offsets'> {
  /** What the trial may change and take, as somebody said it. */
  readonly trial: StoredTrial;
  readonly room: Room;
  /** Of the batch; null where nobody said how much was set aside. */
  readonly leftG: number | null;
  readonly aim: Aim | null;
  /** Points each taster scores above the others, who scores highest first. */
  readonly apart: readonly { readonly name: string; readonly points: number }[];
  /** What cafés' words say of the card they had, most cups first. */
  readonly cafes: readonly CafeTaste[];
  readonly next: readonly NextCup[];
  /** Past recipes behind the proposal it starts from. */
  readonly releases: number;
  readonly doseG: number;
}

/** Null without a recipe on the bench. */
export function readBest(db: Db, house: House, view: ReleaseView): BestView | null {
  const { bench, release } = view;
  if (!bench) return null;
  const { style, temperatureSchool, recipe, drink } = bench.draft;
  const spread = cafeSpread(db);
  const key = `${release.id} ${bench.draft.id} ${view.today} ${spread.doseG} ${spread.yieldG}`;
  return cached(
    db,
    {
      name: 'best recipe',
      tags: [
        ...MODEL_TAGS,
        'tasteEvidence',
        'shot',
        'tasting',
        'flight',
        'trial',
        ...TASTE_WORD_TAGS,
      ],
      key,
    },
    () => {
      const { expected, releases } = expectationOf(db, house, {
        facts: view.facts,
        style,
        school: temperatureSchool,
        releaseId: release.id,
      });
      const { mean, covariance, signs } = expected;
      const stretch = referenceStretch(bench.setup.basket);
      const centre = placeAt({ ratio: 1, temperatureC: 0, timeS: 1 }, mean);
      const trial = findTrial(db, release.id);
      const { doseG } = recipe;
      const cups = cupsOfShots(bench.shots, recipe, view.batch.roast.level ?? 0, drink);
      const { leftG } = view.batch;
      const cafes =
        drink === 'straight' ? cafeTastes(db, house, release.id, bench.setup.basket) : [];
      const best = bestRecipe({
        bounds: boundsOf(trial, doseG),
        centre: { ...centre, timeS: centre.timeS * stretch },
        prior: covariance,
        signOffset: signs,
        cups,
        told: cafes,
        doseG,
        spread,
        release: numberOf(release.id),
        fixedTemperatureC: bench.setup.machine.settableTemperature
          ? undefined
          : recipe.temperatureC,
      });
      const dialOf = dialFor({
        ...benchQuestion(bench),
        ...learntFor(db, house, { ...view, ...bench, release }),
      });
      const { offsets, next, ...shown } = best;
      const room = roomOf({
        ...trial,
        doseG,
        retentionG: bench.setup.grinder.retentionG,
        recipes: best.recipes,
        leftG,
      });
      return {
        ...shown,
        trial,
        room,
        leftG,
        aim: readAim(db, release.id, offsets),
        apart: apartOf(offsets, bench),
        cafes,
        // The most useful first: with less coffee the flight is shorter.
        next: next.slice(0, room.flight).map((place) => {
          const yieldG = settableG(place.ratio * doseG);
          return { ...place, yieldG, dial: dialOf({ ...place, doseG, yieldG }) };
        }),
        releases,
        doseG,
      };
    },
  );
}

/** How near to its best a first cup of this coffee should be, and how many past recipes and cups say so. */
export function readFirstCup(
  db: Db,
  house: House,
  question: FirstCup,
): {
  readonly points: number;
  readonly releases: number;
  readonly cups: number;
  readonly coffees: number;
} {
  const { expected, releases, taste } = expectationOf(db, house, question);
  const { cups, coffees } = taste;
  return { points: firstCupPoints(expected.covariance), releases, cups, coffees };
}

interface FirstCup {
  readonly facts: ReleaseFacts;
  readonly style: BrewStyle;
  readonly school: TemperatureSchool;
  readonly releaseId: string;
}

function apartOf(offsets: Readonly<Record<string, number>>, { shots }: Bench): BestView['apart'] {
  const nameOf = new Map(
    shots.flatMap(({ tastings }) => tastings.map((cup) => [cup.tastedById, cup.tastedBy])),
  );
  return Object.entries(offsets)
    .map(([taster, points]) => ({ name: nameOf.get(taster) ?? taster, points }))
    .sort((a, b) => b.points - a.points);
}

/** What recipes and cups of other releases expect of this one: its own recipe is no proof of itself. */
function expectationOf(
  db: Db,
  house: House,
  { facts, style, school, releaseId }: FirstCup,
): { readonly expected: Expected; readonly taste: TasteModel; readonly releases: number } {
  const { history, tasteOf } = readHouseModel(db, house);
  const taste = tasteOf(school);
  const own = history.find(({ release }) => release.id === releaseId);
  const site = own && taste.sites.get(own);
  const [, row] = questionRow(facts, style);
  return {
    expected: { ...predictJoint(taste.model, row, site), signs: expectedSigns(history, own) },
    taste,
    releases: taste.sites.size - (site ? 1 : 0),
  };
}
