/**
 * "Coming from coffee X": what to change from the recipe X runs on now. The model is told X's recipe as
 * one more release, so that the part of X's deviation the two coffees share is carried over (for one
 * release this is the gain xᵀA⁻¹x' / (1 + x'ᵀA⁻¹x')), then asked for the new coffee. Changes count from
 * X's recipe as it stands, since that is where the bench is.
 */
import type { Recipe } from '../schema/recipe';
import type { OwnRule } from './priors';
import type { PastRelease } from './fit';
import { learnWithCups, type TaughtModel } from './learnTaste';
import { proposeFrom, type Proposal, type Question } from './propose';
import { PROPOSED_VARIABLES, type ProposedVariable } from './proposedVariables';

export interface Change {
  readonly from: number;
  readonly to: number;
  readonly change: number;
  /** 80 % of where the new coffee's own value lies, as a change. */
  readonly interval80: readonly [number, number];
}

export interface ComingFrom {
  /** A variable is left out where X's own value is not known. */
  readonly changes: Readonly<Partial<Record<ProposedVariable, Change>>>;
  readonly proposal: Proposal;
  /** The model that was told X's recipe. */
  readonly told: TaughtModel;
}

/** X as the bench has it: a whole recipe, and its grind where the grinder is calibrated. */
export interface KnownCoffee extends PastRelease {
  readonly recipe: Recipe;
}

/** The proposal for a coffee by someone whose bench now runs another, as changes from that one. */
export function comingFrom(
  model: TaughtModel,
  known: KnownCoffee,
  question: Question,
  own: readonly OwnRule[] = [],
): ComingFrom {
  const others = model.history.filter(
    ({ release }) => release.id !== known.release.id || release.id === undefined,
  );
  const told = learnWithCups([...others, { ...known, weight: 1 }], model.school, own);
  const proposal = proposeFrom(told, question);
  const values = valuesOf(proposal.recipe, proposal.grindSteps);
  const before = valuesOf(known.recipe, known.grindSteps ?? null);
  const isSameClock = known.recipe.clock === proposal.recipe.clock;
  const changes = Object.fromEntries(
    PROPOSED_VARIABLES.flatMap((name) => {
      const [from, to] = [before[name], values[name]];
      // Seconds of two clocks look alike and say different things.
      if (from === null || to === null || (name === 'timeS' && !isSameClock)) return [];
      const [low, high] = proposal.interval80[name];
      const change: Change = { from, to, change: to - from, interval80: [low - from, high - from] };
      return [[name, change]];
    }),
  );
  return { changes, proposal, told };
}

function valuesOf(
  { ratio, temperatureC, timeS, doseG }: Recipe,
  grindSteps: number | null,
): Record<ProposedVariable, number | null> {
  return {
    ratio,
    temperatureC,
    timeS: (timeS[0] + timeS[1]) / 2,
    grindSteps,
    doseG,
  };
}
