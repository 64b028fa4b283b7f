/** The address in the code on a bag: the page with the roast date, so that it knows today's phase. */
import type { RecipeBody } from '../recipe/document';

export const batchAddress = (address: string, { coffee }: RecipeBody) =>
  `${address}/?roasted=${coffee.roastDate}`;
