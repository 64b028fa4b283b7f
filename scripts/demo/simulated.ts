/** Shots on the simulated instruments of the demo house, as its bench would pull them. */
import { drawStation } from '@/core/simulator/drawStation';
import { pullAt } from '@/core/simulator/station';
import { findHouse } from '@/data/house';
import { readPull } from '@/views/pull';
import { drawInputOf, madeHere } from '@/features/pull/simulatedOf';
import { prefill, purgeOfTick, shotSent, type ShotText } from '@/features/pull/shotEntry';
import type { DemoWorker } from './worker';

/** Follows the advice for so many shots, a few minutes apart, each with its trace. */
export function pullSimulated(
  worker: DemoWorker,
  releaseId: string,
  person: string,
  count: number,
): void {
  let chamberDial: number | null = null;
  for (let i = 0; i < count; i++) {
    worker.goTo(0, 60 - 6 * i);
    const view = worker.view(releaseId);
    const bench = view.bench!;
    const pull = readPull(worker.db, findHouse(worker.db)!, view, bench);
    const question = drawInputOf(bench, pull);
    const { station } = drawStation(question);
    const purged = bench.advice.purgeG > 0;
    const text: ShotText = { ...prefill(bench), purged };
    const pulled = pullAt(
      station,
      chamberDial,
      {
        dial: Number(text.dial),
        doseG: Number(text.doseG),
        purgeG: purged ? purgeOfTick(text, bench) : 0,
        yieldG: Number(text.yieldG),
        temperatureC: bench.draft.recipe.temperatureC,
        programme: madeHere(bench),
      },
      question.seed + i,
    );
    ({ chamberDial } = pulled);
    const { timeS, firstDripS, yieldG, trace } = pulled.result;
    const entered: ShotText = {
      ...text,
      timeS: timeS.toFixed(1),
      firstDripS: firstDripS === null ? '' : firstDripS.toFixed(1),
      yieldG: yieldG.toFixed(1),
      trace,
      overrunG: '1.3',
    };
    worker.run('logShot', shotSent(entered, bench), person);
  }
}
