/** What a trial says of the recipe it chose, as the recipe carries it: never more than was found. */
import type { BestRecipe } from './bestRecipe';

const tenthDown = (value: number) => Math.floor(10 * value) / 10;

export const holdsOf = ({
  tolerance,
  costPoints,
}: Pick<BestRecipe, 'tolerance' | 'costPoints'>) => ({
  holdsYieldG: tenthDown(tolerance.yieldG),
  holdsTemperatureC: tenthDown(tolerance.temperatureC),
  holdsTimeS: tenthDown(tolerance.timeS),
  costPoints: Math.round(10 * costPoints) / 10,
});
