/** An effect in words and in the units people read: a tendency with its doubt, never a law. */
import { figure, isNothing, signed } from '@/core/figure';
import type { Effect } from '@/core/start/effects';
import type { Output } from '@/core/start/priors';
import { F_PER_C, type Units } from '@/core/units';

interface Scale {
  readonly label: string;
  readonly unit: string;
  readonly digits: number;
  readonly more: string;
  readonly less: string;
}

const SCALES: Record<Output, Scale> = {
  lnRatio: { label: 'Ratio', unit: ' %', digits: 0, more: 'longer', less: 'shorter' },
  temperatureC: { label: 'Temperature', unit: ' °C', digits: 1, more: 'hotter', less: 'cooler' },
  lnTimeS: { label: 'Time', unit: ' %', digits: 0, more: 'slower', less: 'quicker' },
  grindSteps: { label: 'Grind', unit: ' steps', digits: 1, more: 'finer', less: 'coarser' },
  lnDose: { label: 'Dose', unit: ' %', digits: 1, more: 'more', less: 'less' },
};

export function scaleOf(output: Output, units: Units): Scale {
  const scale = SCALES[output];
  return output === 'temperatureC' && units.temperature === 'F' ? { ...scale, unit: ' °F' } : scale;
}

/** A coefficient as people read it: ln as per cent, °C in their own degrees. */
export function shownEffect(value: number, output: Output, units: Units): number {
  if (output.startsWith('ln')) return 100 * (Math.exp(value) - 1);
  return output === 'temperatureC' && units.temperature === 'F' ? F_PER_C * value : value;
}

export function effectFigure(value: number, output: Output, units: Units): string {
  const { unit, digits } = scaleOf(output, units);
  return `${signed(shownEffect(value, output, units), digits)}${unit}`;
}

/** "0.9 °C hotter", "no different". */
function amountWords(value: number, output: Output, units: Units): string {
  const { unit, digits, more, less } = scaleOf(output, units);
  const shown = shownEffect(value, output, units);
  const amount = figure(Math.abs(shown), digits);
  return isNothing(amount) ? 'no different' : `${amount}${unit} ${shown > 0 ? more : less}`;
}

/** What differs from the trade's rule here, with how sure it is. */
export function findingWords(effect: Effect, output: Output, units: Units): string {
  const { label, rule, learned, halfWidth80, releases } = effect;
  const ends = [learned - halfWidth80, learned + halfWidth80].map((end) =>
    effectFigure(end, output, units),
  );
  const count = releases === 1 ? 'one release' : `${releases} releases`;
  return `${label}: ${amountWords(learned, output, units)} in your recipes (likely ${ends.join(' to ')}, 8 in 10), where the rule says ${amountWords(rule, output, units)}. From ${count}: a tendency so far.`;
}
