/** What the simulator's worker does with a message. */
import { makeDrill } from '@/core/practice/drill';
import { playPractice, practiceTruth } from '@/core/practice/play';
import type { Progress } from '@/core/progress';
import { drawStation } from '@/core/simulator/drawStation';
import { pullAt } from '@/core/simulator/station';
import { tryProgramme } from '@/core/simulator/tryProgramme';
import type { FromWorker, JobKind, Jobs, ToWorker } from './protocol';

/** Works a message off; how far it is goes to `post` as it comes, and in the end what came of it. */
export function answer(message: ToWorker, post: (from: FromWorker) => void): void {
  const { id } = message;
  try {
    const onProgress: Progress = (fraction) => post({ kind: 'progress', id, fraction });
    post({ kind: 'done', id, result: resultOf(message, onProgress) });
  } catch (error) {
    post({ kind: 'failed', id, words: error instanceof Error ? error.message : String(error) });
  }
}

function resultOf(message: ToWorker, onProgress: Progress): Jobs[JobKind]['answers'] {
  switch (message.kind) {
    case 'draw':
      return drawStation(message.input).station;
    case 'practise':
      return playPractice(message.input);
    case 'tell':
      return practiceTruth(message.input, onProgress);
    case 'drill':
      return makeDrill(message.input);
    case 'tryOut':
      return tryProgramme(message.input, onProgress);
    case 'pull': {
      const { station, chamberDial, pull, seed } = message.input;
      return pullAt(station, chamberDial, pull, seed);
    }
  }
}
