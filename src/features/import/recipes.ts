/** Taking in recipes of the house's own records: they teach the model, and stand on the bench. */
import { middleSetting } from '@/core/grinder/dial';
import { dialRangeWords, dialWords } from '@/core/grinder/notation';
import { spanOf } from '@/core/rest/rest';
import { readRoast } from '@/core/coffee/roast';
import { STYLE_PROGRAMMES } from '@/core/vocabulary';
import { personOf } from '@/data/command';
import type { Db } from '@/data/database';
import {
  ensureDialIn,
  findBenchDraft,
  findDialIn,
  insertDraft,
  listDrafts,
  putOnBench,
  type DraftFields,
  type StoredDraft,
} from '@/data/dialIns';
import type { House } from '@/data/house';
import type { CsvTable } from '@/formats/sheets/csv';
import { readRecipes, RECIPE_COLUMNS, type RecipeRow } from '@/formats/sheets/recipeSheet';
import type { ReadOptions } from '@/formats/sheets/rows';
import type { ImportTarget } from './places';
import { planRows, Refusal } from './planRows';
import { countWords, type Prepared } from './prepared';

interface Planned {
  readonly place: ImportTarget;
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
          `Dial ${dialWords(grinder, dial)} is outside ${dialRangeWords(grinder)} of ${grinder.name}.`,
        );
      return isKnown(db, place, entry) ? 'known' : { place, entry };
    },
  );
  return {
    faults,
    news: countWords(planned.length, 'new recipe', 'new recipes'),
    known,
    apply: (context) => {
      // What somebody put on the bench stays there; a release without one gets its newest record.
      const isFree = ({ key }: ImportTarget) => findBenchDraft(db, key.releaseId) === null;
      const free = new Set(
        planned.filter(({ place }) => isFree(place)).map(({ place }) => place.key.releaseId),
      );
      const byDay = [...planned].sort((a, b) => a.entry.decidedOn.localeCompare(b.entry.decidedOn));
      byDay.forEach(({ place, entry }, i) => {
        const at = `${entry.decidedOn}T12:00:00.000Z`;
        const dialInId = ensureDialIn(db, `${context.id}d${i}`, place.key, at);
        const draftId = `${context.id}q${i}`;
        insertDraft(db, draftId, dialInId, draftOf(place, entry, house), personOf(context).id, at);
        if (free.has(place.key.releaseId)) putOnBench(db, place.key.releaseId, draftId);
      });
    },
  };
}

/** The same figures on the same dial-in are the same recipe. */
function isKnown(db: Db, { key }: ImportTarget, entry: RecipeRow): boolean {
  const dialInId = findDialIn(db, key);
  return dialInId !== null && listDrafts(db, dialInId).some((draft) => isSameRecipe(draft, entry));
}

function isSameRecipe({ recipe }: StoredDraft, entry: RecipeRow): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) < 0.051;
  return (
    near(recipe.doseG, entry.doseG) &&
    near(recipe.yieldG, entry.yieldG) &&
    near(recipe.temperatureC, entry.temperatureC) &&
    near(recipe.timeS[0], entry.timeS[0]) &&
    near(recipe.timeS[1], entry.timeS[1])
  );
}

function draftOf(
  { release, batch, setup }: ImportTarget,
  entry: RecipeRow,
  house: House,
): DraftFields {
  const span = spanOf({
    roastLevel: readRoast(batch, house.roastMap).level ?? 0,
    school: house.restSchool,
    span: release.span,
  });
  return {
    temperatureSchool: house.temperatureSchool,
    recipe: {
      ...entry,
      programme: entry.programme || STYLE_PROGRAMMES[entry.style],
      restDays: entry.restDays ?? [Math.round(span.bestFrom), Math.round(span.bestTo)],
    },
    startDial: entry.dial ?? middleSetting(setup.grinder),
    isDialKnown: entry.dial !== undefined,
    why: entry.why,
    decidedOn: entry.decidedOn,
  };
}
