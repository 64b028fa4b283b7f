/** From what stands on the bench to the body of the next published version. */
import { figure } from '@/core/figure';
import { isOnTargetStatus } from '@/core/advice/types';
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import { publishedOf } from '@/core/entity/field';
import { RECIPE } from '@/core/entity/recipe';
import { RELEASE } from '@/core/entity/release';
import { userFault } from '@/core/errors';
import { blendedOf } from '@/core/schema/shares';
import { notesFoundIn, repeatsOf, shotsOfThis } from '@/core/state/recipeState';
import { dialToday } from '@/core/grinder/calibrationPeriod';
import { dialWords } from '@/core/grinder/notation';
import { withRatio } from '@/core/schema/recipe';
import type { House } from '@/data/house';
import type { Bench, ReleaseView } from '@/views/release';
import { displayTemperatureC } from '@/core/start/setupLimits';
import type { StoredSetup } from '@/data/setups';
import type { RecipeBody } from '@/formats/recipe/document';

export interface PublishWords {
  readonly right: string;
  readonly short: string;
  readonly long: string;
  readonly whatChanged: string;
}

/** Where the recipe holds: the dial of its good shots; a recipe that carried over may hold at one nobody pulled. */
function dialOf(bench: Bench, repeats: readonly { readonly dial: number }[]) {
  const { draft, advice } = bench;
  if (draft.carriedFrom !== null && isOnTargetStatus(advice.status)) return advice.setting.dial;
  return repeats.at(-1)?.dial ?? shotsOfThis(bench).at(-1)?.dial ?? draft.startDial;
}

export interface PublishedOn {
  readonly today: string;
  /** The newest version: a recipe that carried over goes on from what was found and repeated there. */
  readonly last?: RecipeBody | undefined;
}

const isCarried = (bench: Bench | null) => bench !== null && bench.draft.carriedFrom !== null;

/** Only what somebody found stands under "look for"; a promise alone does not. */
function foundNotes({ release, bench }: ReleaseView, printed: readonly string[] = []): string[] {
  const cups = bench ? shotsOfThis(bench).flatMap(({ tastings }) => tastings) : [];
  const found = new Set(cups.flatMap(({ notesFound }) => notesFound));
  return release.promisedNotes.filter(
    (note) => found.has(note) || (isCarried(bench) && printed.includes(note)),
  );
}

/** How many notes the words of a card are begun with. */
const MOST_NOTES = 6;

/** What was found in straight cups of this recipe: a start for the words of its card. */
export const notesInCups = (bench: Bench): string[] => notesFoundIn(bench).slice(0, MOST_NOTES);

/** Of this batch, and of the one before where the recipe carries over: while it is not on target here, none. */
function confirmedShotsOf(bench: Bench, repeats: number, last: RecipeBody | undefined): number {
  if (!isOnTargetStatus(bench.advice.status)) return 0;
  return repeats + (isCarried(bench) ? (last?.confirmedShots ?? 0) : 0);
}

/** The body that publishing now would make. */
export function publishedBody(
  house: House,
  view: ReleaseView,
  words: PublishWords,
  { today, last }: PublishedOn,
): RecipeBody {
  const { release, batch, bench, versions } = view;
  if (!bench)
    throw userFault('refused', '', 'There is no recipe on the bench. Accept a proposal at Start.');
  const { draft, setup, target } = bench;
  const repeats = repeatsOf(bench);
  const { recipe } = draft;
  const dial = dialOf(bench, repeats);
  return {
    roastery: house.name,
    coffee: {
      ...publishedOf(RELEASE, release),
      promisedNotes: foundNotes(view, last?.coffee.promisedNotes),
      components: blendedOf(release.components, batch.sharesPct).map((component) =>
        publishedOf(COMPONENT, component),
      ),
      ...publishedOf(BATCH, batch),
      roastLevel: batch.roast.level ?? undefined,
    },
    // The recipe's own dose: a trim for the steps of one grinder stays with it.
    recipe: withRatio(publishedOf(RECIPE, recipe)),
    style: draft.style,
    temperatureSchool: draft.temperatureSchool,
    temperatureMeasured: measuredWords(recipe.temperatureC, setup),
    ...displayOf(recipe.temperatureC, setup),
    // What blind cups taught of this very recipe goes before the house's own.
    tolerance: {
      doseG: target.doseToleranceG,
      yieldG: recipe.holdsYieldG ?? target.yieldToleranceG,
    },
    language: house.cardLanguage,
    ...waterOf(house),
    ...grindSince(bench, dial, last),
    setup: {
      machine: setup.machine.name,
      grinder: setup.grinder.name,
      dial,
      ...(setup.grinder.notation !== 'numbers' && { dialWords: dialWords(setup.grinder, dial) }),
      basket: setup.basket.name,
      diameterMm: setup.basket.diameterMm,
      ratedG: setup.basket.ratedG,
    },
    sensory: { right: words.right, short: words.short, long: words.long },
    fits: [],
    confirmedShots: confirmedShotsOf(bench, repeats.length, last),
    version: (versions[0]?.number ?? 0) + 1,
    publishedOn: today,
    whatChanged: words.whatChanged,
  };
}

function displayOf(temperatureC: number, { machine }: StoredSetup) {
  const displayC = displayTemperatureC(temperatureC, machine);
  return displayC === null ? {} : { displayC };
}

function waterOf({ waterHardnessMgL, waterAlkalinityMgL }: House) {
  const isKnown = waterHardnessMgL !== undefined || waterAlkalinityMgL !== undefined;
  return isKnown
    ? { water: { hardnessMgL: waterHardnessMgL, alkalinityMgL: waterAlkalinityMgL } }
    : {};
}

/** How the grind moved since the card before, in steps of the one grinder both were made on. */
function grindSince({ setup: { grinder }, periods }: Bench, dial: number, last?: RecipeBody) {
  if (last?.setup.grinder !== grinder.name) return {};
  const before = dialToday(last.setup.dial, last.publishedOn, periods);
  if (before === null) return {};
  const steps = ((dial - before) / grinder.stepSize) * (grinder.finerIs === 'higher' ? 1 : -1);
  return { grindSince: { version: last.version, steps: Math.round(2 * steps) / 2 + 0 } };
}

/** Where the temperature holds: at the group when the house knows how far its display is off. */
function measuredWords(temperatureC: number, { machine }: StoredSetup): string {
  const displayC = displayTemperatureC(temperatureC, machine);
  return displayC === null
    ? 'as set on the machine'
    : `at the group; this machine was set to ${figure(displayC, 1)} °C`;
}
