/** Shown wherever somebody is asked to pull such beans. */
import type { BeanState } from './vocabulary';

/** What can hurt someone, or the grinder, with beans that are not at room temperature. */
export const BEAN_CAUTIONS: Partial<Record<BeanState, string>> = {
  warm: 'Warming dry beans: gentle heat, a thermometer, never unattended. They can scorch and catch fire. Warm beans run several seconds faster.',
  misted:
    'Misting: a drop or two, no more. Moisture may rust burrs: follow the maker of the grinder. A misted shot runs slower.',
  frozen: 'From the freezer: close the bag at once, or damp settles on the beans. It runs slower.',
};

/** The cautions of these beans, each once. */
export const beanCautions = (states: readonly BeanState[]): string[] => [
  ...new Set(states.flatMap((state) => BEAN_CAUTIONS[state] ?? [])),
];
