/**
 * What a lead adds to the recipe on its card: phases, milk, setups, cups, other languages. Pure, so that the preview
 * and what is published are made by the same steps.
 */
import { z } from 'zod';
import { UserFault, type Fault } from '@/core/errors';
import { drinkRow, type DrinkRow } from '@/core/fits/drinks';
import { AUDIENCES, fitFor } from '@/core/fits/audience';
import { roundedFactors } from '@/core/fits/factors';
import { LANGUAGES } from '@/core/language';
import { phaseFaults, printedPhasesSchema } from '@/core/rest/printedPhases';
import { oneOf, optionalText } from '@/core/schema/fields';
import type { RecipeBody } from '@/formats/recipe/document';
import type { CardOffers } from '@/views/cardOffers';
import { wordedFaults } from '@/words/faults';

const ownWords = z.strictObject({
  right: optionalText('How it tastes when right', 'words').optional(),
  short: optionalText('When short, and what to do', 'words').optional(),
  long: optionalText('When long, and what to do', 'words').optional(),
  whatChanged: optionalText('What changed, and why', 'words').optional(),
});

/** The command's own part of a card; all of it may be left out. */
export const composedShape = {
  phases: printedPhasesSchema.default([]),
  hasMilk: z.boolean().default(false),
  hasDrinks: z.boolean().default(false),
  fits: z
    .array(
      z.strictObject({
        audience: oneOf('Setup', AUDIENCES),
        /** What was tried there; computed alone when empty. */
        tried: optionalText('What was tried', 'words').default(''),
      }),
    )
    .max(AUDIENCES.length)
    .default([]),
  otherWords: z.partialRecord(z.enum(LANGUAGES), ownWords).default({}),
} as const;

export type Composed = z.output<z.ZodObject<typeof composedShape>>;

export const NOTHING_COMPOSED: Composed = {
  phases: [],
  hasMilk: false,
  hasDrinks: false,
  fits: [],
  otherWords: {},
};

/** What the last card had, to go on with; phases as they are offered now. Without one, all that can be said. */
export function composedFrom(
  base: RecipeBody,
  last: RecipeBody | undefined,
  offers: CardOffers,
): Composed {
  const phases = offers.phases[offers.phaseCount - 1]?.list ?? [];
  const usual = {
    ...NOTHING_COMPOSED,
    phases: phases.length > 1 ? [...phases] : [],
    hasMilk: offers.milk !== null,
  };
  const { rows, faults } = drinkRows(base, usual, offers);
  const holdsDrinks = rows.length > 0 && faults.length === 0;
  if (!last)
    return {
      ...usual,
      hasDrinks: holdsDrinks,
      fits: AUDIENCES.map((audience) => ({ audience, tried: '' })),
    };
  return {
    ...usual,
    hasDrinks: holdsDrinks && (last.drinks ?? []).length > 0,
    fits: last.fits.map(({ audience, tried = '' }) => ({ audience, tried })),
    otherWords: last.otherWords ?? {},
  };
}

/** Rows for the cups that hold what is poured, and the fault of each that does not. */
function drinkRows({ recipe }: RecipeBody, { hasMilk }: Composed, offers: CardOffers) {
  const rows: DrinkRow[] = [];
  const faults: Fault[] = [];
  for (const drink of offers.drinks) {
    const { yieldG } = (drink.fill === 'milk' && hasMilk && offers.milk) || recipe;
    try {
      rows.push(drinkRow(drink, { yieldG, cremaGPerMl: offers.cremaGPerMl }));
    } catch (fault) {
      if (!(fault instanceof UserFault)) throw fault;
      faults.push(...wordedFaults(fault.faults));
    }
  }
  return { rows, faults };
}

/** The whole card: the recipe on the bench with what was added to it. */
export function composeBody(base: RecipeBody, added: Composed, offers: CardOffers): RecipeBody {
  const { phases, hasMilk, hasDrinks, fits, otherWords } = added;
  const fitting = offers.tried && roundedFactors(offers.tried);
  const { recipe, setup, style } = base;
  const kept = offers.phases[phases.length - 1];
  const one = offers.phases[0];
  const said = Object.entries(otherWords).filter(([, words]) =>
    Object.values(words).some((text) => text !== ''),
  );
  return {
    ...base,
    ...(fitting && { fitting }),
    ...(said.length > 0 && { otherWords: Object.fromEntries(said) }),
    fits: fits.map(({ audience, tried }) => {
      const fit = fitFor(audience, {
        recipe,
        style,
        from: setup,
        ...(fitting && { factors: fitting }),
        cremaGPerMl: offers.cremaGPerMl,
      });
      return {
        audience,
        ...(tried !== '' && { tried }),
        style: fit.style,
        ...(fit.recipe && {
          recipe: { ...fit.recipe, timeS: [...fit.recipe.timeS] as [number, number] },
        }),
        coarserSteps: Number(fit.coarserSteps.toFixed(2)),
        notes: fit.notes.map(({ code, figures }) => ({ code, ...(figures && { figures }) })),
      };
    }),
    ...(phases.length > 1 && {
      phases: {
        cardDay: offers.cardDay,
        list: phases,
        ...(kept && one && { kept: { phased: kept.kept, one: one.kept } }),
      },
    }),
    ...(hasMilk &&
      offers.milk && {
        milk: {
          doseG: offers.milk.doseG,
          yieldG: offers.milk.yieldG,
          ratio: offers.milk.ratio,
          temperatureC: offers.milk.temperatureC,
          timeS: offers.milk.timeS,
          clock: offers.milk.clock,
          programme: offers.milk.programme,
        },
      }),
    ...(hasDrinks && { drinks: drinkRows(base, added, offers).rows }),
  };
}

/** What cannot be published as it was composed: phases with holes, drinks larger than their cups. */
export function composeFaults(base: RecipeBody, added: Composed, offers: CardOffers): Fault[] {
  const [from, to] = base.recipe.restDays;
  return [
    ...wordedFaults(phaseFaults(added.phases, { from, to })),
    ...(added.hasDrinks ? drinkRows(base, added, offers).faults : []),
    ...(added.hasMilk && !offers.milk
      ? [
          {
            field: 'hasMilk',
            message:
              'There is no recipe for milk drinks in this dial-in. Make one at Taste, or publish without it.',
          },
        ]
      : []),
  ];
}
