/** The five variables of a proposal as people read them. */
import { figure, signed } from '@/core/figure';
import type { Proposal } from '@/core/start/propose';
import type { ProposedVariable } from '@/core/start/proposedVariables';
import { F_PER_C } from '@/core/units';
import type { useUnits } from '@/ui/person';

export interface Variable {
  readonly title: string;
  readonly short: string;
  readonly unit: string;
  readonly digits: number;
  readonly span: readonly [number, number];
}

export const VARIABLES: Readonly<Record<ProposedVariable, Variable>> = {
  ratio: { title: 'Ratio', short: 'Ratio', unit: '', digits: 2, span: [1.5, 3] },
  temperatureC: {
    title: 'Temperature',
    short: 'Temperature',
    unit: ' °C',
    digits: 1,
    span: [88, 96],
  },
  timeS: { title: 'Time', short: 'Time', unit: ' s', digits: 0, span: [20, 40] },
  grindSteps: {
    title: 'Grind, in steps finer than your usual coffee',
    short: 'Grind',
    unit: '',
    digits: 1,
    span: [-3, 3],
  },
  doseG: { title: 'Dose', short: 'Dose', unit: ' g', digits: 1, span: [16, 19] },
};

/** How a variable's values and changes are written in a person's units. */
export function formatsOf(
  name: ProposedVariable,
  { mass, temperature, units }: ReturnType<typeof useUnits>,
) {
  const { unit, digits } = VARIABLES[name];
  const format = (value: number) => {
    if (name === 'doseG') return mass(value);
    if (name === 'ratio') return `1:${figure(value, digits)}`;
    if (name === 'grindSteps') return `${signed(value, digits)}${unit}`;
    return name === 'temperatureC' ? temperature(value) : `${figure(value, digits)}${unit}`;
  };
  const formatChange = (value: number) => {
    const shown = name === 'temperatureC' && units.temperature === 'F' ? F_PER_C * value : value;
    return signed(shown, Math.max(1, digits));
  };
  return { format, formatChange };
}

/** What the proposal says of a variable, after rounding and limits. */
export function proposedValue(
  { recipe, grindSteps, contributions }: Proposal,
  name: ProposedVariable,
): number {
  switch (name) {
    case 'grindSteps':
      return grindSteps;
    case 'timeS':
      return contributions.timeS.reduce((sum, { rule, learned }) => sum + rule + learned, 0);
    default:
      return recipe[name];
  }
}
