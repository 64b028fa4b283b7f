/** Taking in recipes of the house's own records: they teach the model, and stand on the bench. */
import { middleSetting } from '@/core/grinder/dial';
import { restSpan } from '@/core/rest/rest';
import { readRoast } from '@/core/coffee/roast';
import { STYLE_PROGRAMMES } from '@/core/vocabulary';
import { personOf } from '@/data/command';
import type { Db } from '@/data/database';
import {
  ensureDialIn,
  findDialIn,
  insertDraft,
  listDrafts,
  type StoredDraft,
} from '@/data/dialIns';
import type { House } from '@/data/house';
import type { CsvTable } from '@/formats/sheets/csv';
import { readRecipes, type RecipeRow } from '@/formats/sheets/recipeSheet';
import { RECIPE_COLUMNS } from '@/formats/sheets/recipeColumns';
import type { ReadOptions } from '@/formats/sheets/rows';
import type { Place } from './places';
import { planRows, Refusal } from './planRows';
import { countWords, type Prepared } from './prepared';

interface Planned {
  readonly place: Place;
  readonly entry: RecipeRow;
}

export function* prepareRecipes(
  db: Db,
  table: CsvTable,
  options: ReadOptions,
  house: House,
): Generator<number, Prepared> {
  const rows = yield* readRecipes(table, options);
  const { planned, known, faults } = planRows<RecipeRow, Planned>(
    db,
    rows,
    {
      ...options,
      columns: RECIPE_COLUMNS,
      day: { column: 'decidedOn', of: ({ decidedOn }) => decidedOn },
    },
    (place, entry) => {
      const { grinder } = place.setup;
      const { dial } = entry;
      if (dial !== undefined && (dial < grinder.min || dial > grinder.max))
        return new Refusal(
          'dial',
          `Dial ${dial} is outside ${grinder.min}-${grinder.max} of ${grinder.name}.`,
        );
      return isKnown(db, place, entry) ? 'known' : { place, entry };
    },
  );
  return {
    faults,
    news: countWords(planned.length, 'new recipe', 'new recipes'),
    known,
    apply: (context) =>
      planned.forEach(({ place, entry }, i) => {
        const at = `${entry.decidedOn}T12:00:00.000Z`;
        const dialInId = ensureDialIn(db, `${context.id}d${i}`, place.key, at);
        const fields = draftOf(place, entry, house);
        insertDraft(db, `${context.id}q${i}`, dialInId, fields, personOf(context).id, at);
      }),
  };
}

/** The same figures on the same dial-in are the same recipe. */
function isKnown(db: Db, { key }: Place, entry: RecipeRow): boolean {
  const dialInId = findDialIn(db, key);
  return dialInId !== null && listDrafts(db, dialInId).some((draft) => isSameRecipe(draft, entry));
}

function isSameRecipe(draft: StoredDraft, entry: RecipeRow): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) < 0.051;
  return (
    near(draft.doseG, entry.doseG) &&
    near(draft.yieldG, entry.yieldG) &&
    near(draft.temperatureC, entry.temperatureC) &&
    near(draft.timeLowS, entry.timeS[0]) &&
    near(draft.timeHighS, entry.timeS[1])
  );
}

function draftOf({ batch, setup }: Place, entry: RecipeRow, house: House) {
  const span = restSpan(readRoast(batch, house.roastMap).level ?? 0, house.restSchool);
  return {
    temperatureSchool: house.temperatureSchool,
    doseG: entry.doseG,
    yieldG: entry.yieldG,
    temperatureC: entry.temperatureC,
    timeLowS: entry.timeS[0],
    timeHighS: entry.timeS[1],
    clock: entry.clock,
    programme: entry.programme || STYLE_PROGRAMMES[entry.style],
    restFrom: entry.restFrom ?? Math.round(span.bestFrom),
    restTo: entry.restTo ?? Math.round(span.bestTo),
    startDial: entry.dial ?? middleSetting(setup.grinder),
    isDialKnown: entry.dial !== undefined,
    why: entry.why,
    decidedOn: entry.decidedOn,
  };
}
