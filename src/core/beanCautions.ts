/** What can hurt someone, or the grinder, with beans that are not at room temperature: shown wherever they are asked for. */
import type { Message } from './message';
import type { BeanState } from './vocabulary';

export const beanCaution = (state: BeanState): Message | null =>
  state === 'room' ? null : { id: `tasting.beans.${state}` };

/** The cautions of these beans, each once. */
export const beanCautions = (states: readonly BeanState[]): Message[] =>
  [...new Set(states)].flatMap((state) => beanCaution(state) ?? []);
