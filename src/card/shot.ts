/** "My shot did this": one change for the next, by the house's own advisor, worked out beside the page. */
import type { Advice } from '@/core/advice/types';
import type { CardReaderQuestion, CardReaderShot, CardReaderTaste } from '@/core/advice/cardReader';
import { USUAL_CREMA_G_PER_ML } from '@/core/extraction/volume';
import { answerIn } from '@/words/answerIn';
import { helperWords } from '@/words/helperWords';
import type { Clock } from '@/core/vocabulary';
import { bodyOf, figureOf, fittedOr, languageOf, onSend, show, type Helper } from './helper';

export const help: Helper = (form, box) => {
  const language = languageOf(box);
  const say = helperWords(language);
  const shots: CardReaderShot[] = [];
  const worker = new Worker('/card/advise.js', { type: 'module' });
  const chosen = (name: string) => (form.elements.namedItem(name) as HTMLSelectElement).value;
  const moved = form.querySelector<HTMLElement>('[data-moved]')!;
  onSend(form, language, async () => {
    const body = await bodyOf(box);
    const typed = {
      timeS: figureOf(form, 'timeS', 'timeS', language, { isNeeded: true }),
      yieldG: figureOf(form, 'yieldG', 'shotYieldG', language),
      yieldMl: figureOf(form, 'yieldMl', 'shotYieldMl', language),
      doseG: figureOf(form, 'doseG', 'doseG', language),
      firstDripS: figureOf(form, 'firstDripS', 'firstDripS', language),
      finerSteps: figureOf(form, 'finerSteps', 'dial', language),
    };
    const faults = Object.values(typed).flatMap(({ fault }) => fault ?? []);
    const { value: timeS } = typed.timeS;
    if (faults.length > 0 || timeS === undefined) return show(form, faults);
    shots.push({
      timeS,
      clock: chosen('clock') as Clock,
      firstDripS: typed.firstDripS.value,
      doseG: typed.doseG.value,
      yieldG: typed.yieldG.value,
      yieldMl: typed.yieldMl.value,
      taste: (chosen('taste') || undefined) as CardReaderTaste | undefined,
      finerSteps: shots.length === 0 ? 0 : (typed.finerSteps.value ?? 0),
    });
    const asked: CardReaderQuestion = {
      ...fittedOr(body),
      tolerance: body.tolerance,
      roastLevel: body.coffee.roastLevel ?? 0,
      cremaGPerMl: USUAL_CREMA_G_PER_ML,
      shots,
    };
    const { what, why } = answerIn(language, await advised(worker, asked), asked);
    show(form, [`${say('shot.nth', { number: shots.length })}: ${why}`, what]);
    form.reset();
    moved.hidden = false;
  });
};

function advised(worker: Worker, asked: CardReaderQuestion): Promise<Advice> {
  return new Promise((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<Advice>) => resolve(data);
    worker.onerror = () => reject(new Error('the advisor did not answer'));
    worker.postMessage(asked);
  });
}
