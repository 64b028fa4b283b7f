/** The card's recipe on the reader's own setup. */
import { USUAL_CREMA_G_PER_ML } from '@/core/extraction/volume';
import { fitRecipe, type FitPlace } from '@/core/fits/fit';
import { fitSentences, volumeIn } from '@/words/fitWords';
import { helperWords } from '@/words/helperWords';
import { figureIn } from '@/words/figures';
import { heatOf } from '@/words/temperature';
import { cardWords } from '@/words/cardWords';
import type { Clock } from '@/core/vocabulary';
import { secondsIn } from '@/formats/recipe/seconds';
import { bodyOf, figureOf, keepFitted, languageOf, onSend, show, type Helper } from './helper';

export const help: Helper = (form, box) => {
  const language = languageOf(box);
  const say = helperWords(language);
  const isTicked = (name: string) => (form.elements.namedItem(name) as HTMLInputElement).checked;
  onSend(form, language, async () => {
    const body = await bodyOf(box);
    const typed = {
      diameterMm: figureOf(form, 'diameterMm', 'diameterMm', language),
      ratedG: figureOf(form, 'ratedG', 'ratedG', language),
      fixedC: figureOf(form, 'fixedC', 'temperatureC', language),
    };
    const faults = Object.values(typed).flatMap(({ fault }) => fault ?? []);
    if (faults.length > 0) return show(form, faults);
    const to: FitPlace = {
      diameterMm: typed.diameterMm.value ?? body.setup.diameterMm,
      ratedG: typed.ratedG.value ?? body.setup.ratedG,
      fixedTemperatureC: typed.fixedC.value,
      canShape: isTicked('canShape'),
      soaksByHand: isTicked('soaksByHand'),
      hasScale: !isTicked('noScale'),
      isPressurised: isTicked('isPressurised'),
      clock: (form.elements.namedItem('clock') as HTMLSelectElement).value as Clock,
    };
    const { recipe, style, fitting } = body;
    const fit = fitRecipe({
      recipe,
      style,
      from: body.setup,
      factors: fitting,
      to,
      cremaGPerMl: USUAL_CREMA_G_PER_ML,
    });
    const g = (value: number) => `${figureIn(language, value, 1)} g`;
    const there = fit.recipe;
    keepFitted(there ? { card: { ...there, timeS: [...there.timeS] }, ratedG: to.ratedG } : null);
    const line = there
      ? `${g(there.doseG)} → ${there.yieldMl === undefined ? g(there.yieldG) : volumeIn(language, there.yieldMl)}, ${secondsIn(language, there.timeS)} ${cardWords(language)(`clock.${there.clock}`)}, ${heatOf(language, there.temperatureC)}`
      : say('fit.none');
    show(form, [
      line,
      fitSentences(language, fit, style).join(' '),
      ...(there ? [cardWords(language)('card.models')] : []),
    ]);
  });
};
