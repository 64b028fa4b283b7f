/** What the simulator's worker does with a message. */
import { drawStation } from '@/core/shot/drawStation';
import { pullAt } from '@/core/shot/station';
import type { FromWorker, ToWorker } from './protocol';

export function answer(message: ToWorker): FromWorker {
  const { id } = message;
  try {
    if (message.kind === 'draw') {
      const { station } = drawStation(message.input);
      return { kind: 'drawn', id, station };
    }
    const { station, chamberDial, pull, seed } = message.job;
    return { kind: 'pulled', id, done: pullAt(station, chamberDial, pull, seed) };
  } catch (error) {
    return { kind: 'failed', id, words: error instanceof Error ? error.message : String(error) };
  }
}
