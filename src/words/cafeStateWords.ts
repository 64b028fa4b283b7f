/** What is so of a café, in one line. */
import { chanceMessage } from '@/core/chance';
import type { Message } from '@/core/message';
import type { CafeState } from '@/core/state/cafeState';
import { say } from './say';
import type { SignalNames } from './signalWords';

const said = (name: string, values: NonNullable<Message['values']>): string =>
  say({ id: `cafes.${name}`, values });

/** "Quay Nine: Harbour Lamp 4.1 s fast, 1 in 10 in its window"; null where nothing is to be said. */
export function cafeStateWords(
  cafe: string,
  state: CafeState,
  names: Pick<SignalNames, 'coffee'>,
): string | null {
  if (state.kind === 'onTarget' || state.kind === 'unsent') return null;
  const coffee = names.coffee(state.coffee);
  if (state.kind === 'new') {
    const { checks, fast, slow } = state;
    const side = fast >= slow ? 'fast' : 'slow';
    const count = Math.max(fast, slow);
    return said('state.new', { cafe, coffee, checks, count, side: count === 0 ? 'none' : side });
  }
  const { offS, inWindow } = state;
  return said('state.off', {
    ...{ cafe, coffee, seconds: Math.abs(offS), side: offS < 0 ? 'fast' : 'slow' },
    chance: chanceMessage(inWindow),
  });
}
