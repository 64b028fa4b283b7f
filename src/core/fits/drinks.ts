/**
 * What a recipe means for the cups of a bar: grams of espresso, a button to program, milk or water to fill (grams, ml).
 * House heuristic: a button counts water, so its volume is rough; a drink is filled to the brim of its cup.
 */
import { z } from 'zod';
import { userFault } from '../errors';
import { oneOf, quantity, text } from '../schema/fields';
import { volumeOfMass } from '../extraction/volume';
import { fault } from '../message';

export const FILLS = ['none', 'milk', 'water'] as const;
export type Fill = (typeof FILLS)[number];

export const FILL_LABELS: Record<Fill, string> = {
  none: 'Nothing',
  milk: 'Milk',
  water: 'Water',
};

/** Shares of a recipe's yield a drink takes. */
export const SHOTS = [0.5, 1, 2] as const;

export const drinkSchema = z.strictObject({
  name: text('Drink', 'note'),
  cupMl: quantity('cupMl'),
  shots: z.union(SHOTS.map((share) => z.literal(share))),
  fill: oneOf('Filled with', FILLS),
});
export type Drink = z.output<typeof drinkSchema>;

export const MOST_DRINKS = 12;

export interface DrinkRow extends Drink {
  readonly espressoG: number;
  /** What the cup shows of it, with its crema. */
  readonly buttonMl: number;
  /** Of milk or water, to the brim. */
  readonly fillMl: number;
}

/**
 * One row of the table of cups.
 * @param yieldG of the recipe it is made with.
 * @throws UserFault where the espresso alone is more than the cup holds.
 */
export function drinkRow(
  drink: Drink,
  { yieldG, cremaGPerMl }: { readonly yieldG: number; readonly cremaGPerMl: number },
): DrinkRow {
  const espressoG = Number((drink.shots * yieldG).toFixed(1));
  const buttonMl = volumeOfMass(espressoG, cremaGPerMl);
  if (buttonMl > drink.cupMl)
    throw userFault(
      'badInput',
      'drinks',
      fault('drinks.cupTooSmall', { name: drink.name, espressoG, buttonMl, cupMl: drink.cupMl }),
    );
  return {
    ...drink,
    espressoG,
    buttonMl,
    fillMl: drink.fill === 'none' ? 0 : drink.cupMl - buttonMl,
  };
}

/** The cups most bars have. House heuristic. */
export const USUAL_DRINKS: readonly Drink[] = [
  { name: 'Espresso', cupMl: 80, shots: 1, fill: 'none' },
  { name: 'Cappuccino', cupMl: 180, shots: 1, fill: 'milk' },
  { name: 'Long black', cupMl: 200, shots: 1, fill: 'water' },
];
