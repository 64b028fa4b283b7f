/** What the simulator's worker does with a message. */
import { playPractice, practiceTruth } from '@/core/practice/play';
import { drawStation } from '@/core/shot/drawStation';
import { pullAt } from '@/core/shot/station';
import type { FromWorker, ToWorker } from './protocol';

export function answer(message: ToWorker): FromWorker {
  const { id } = message;
  try {
    switch (message.kind) {
      case 'draw':
        return { kind: 'drawn', id, station: drawStation(message.input).station };
      case 'practise':
        return { kind: 'practised', id, state: playPractice(message.round) };
      case 'tell':
        return { kind: 'told', id, truth: practiceTruth(message.round) };
      case 'pull': {
        const { station, chamberDial, pull, seed } = message.job;
        return { kind: 'pulled', id, done: pullAt(station, chamberDial, pull, seed) };
      }
    }
  } catch (error) {
    return { kind: 'failed', id, words: error instanceof Error ? error.message : String(error) };
  }
}
