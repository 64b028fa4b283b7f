/**
 * The five regressions of the starting recipe over a house's past releases (model.md §2).
 */
import { featuresOf, type ReleaseFacts } from '../coffee/features';
import type { Recipe } from '../schema/recipe';
import type { BrewStyle, TemperatureSchool } from '../vocabulary';
import { designRow } from './design';
import { posteriors, type Posterior } from './posterior';
import { NOISE_SD, OUTPUTS, priorFor, type Output } from './priors';

export interface PastRelease {
  readonly release: ReleaseFacts;
  readonly style: BrewStyle;
  readonly recipe: Recipe;
  /** Rating of the basket the recipe was made for. */
  readonly ratedG?: number | undefined;
  /** Final grind, in reference steps finer than the reference coffee; unknown when absent. */
  readonly grindSteps?: number | undefined;
}

export interface OutputFit {
  readonly rule: ReturnType<typeof priorFor>;
  readonly rows: readonly (readonly number[])[];
  readonly outputs: readonly number[];
  readonly posteriors: readonly Posterior[];
}

/** The fit of each output to the history; releases that lack an output are left out of its fit. */
export function fitOutputs(history: readonly PastRelease[], school: TemperatureSchool) {
  return mapOutputs((output): OutputFit => {
    const rule = priorFor(output, school);
    const known = history.flatMap((past) => {
      const value = outputOf(past, output);
      return value === null
        ? []
        : [{ row: designRow(featuresOf(past.release), past.style), value }];
    });
    const rows = known.map((k) => k.row);
    const outputs = known.map((k) => k.value);
    const input = {
      rows,
      outputs,
      priorMean: rule.map((r) => r.mean),
      priorSd: rule.map((r) => r.sd),
      noiseSd: NOISE_SD[output],
    };
    return { rule, rows, outputs, posteriors: posteriors(input) };
  });
}

function outputOf({ recipe, ratedG, grindSteps }: PastRelease, output: Output): number | null {
  switch (output) {
    case 'lnRatio':
      return Math.log(recipe.ratio);
    case 'temperatureC':
      return recipe.temperatureC;
    case 'lnTimeS':
      // Times on the other clock are never compared; they teach nothing here.
      return recipe.clock === 'pump' ? Math.log((recipe.timeS[0] + recipe.timeS[1]) / 2) : null;
    case 'grindSteps':
      return grindSteps ?? null;
    case 'lnDose':
      return ratedG === undefined ? null : Math.log(recipe.doseG / ratedG);
  }
}

export function mapOutputs<T>(make: (output: Output) => T): Record<Output, T> {
  return Object.fromEntries(OUTPUTS.map((output) => [output, make(output)])) as Record<Output, T>;
}
