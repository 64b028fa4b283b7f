/** A clock for one shot: start with the pump, mark the first drip, stop; its times go into the shot's form. */
import { helperWords } from '@/words/helperWords';
import { figureIn } from '@/words/figures';
import { languageOf, type Helper } from './helper';

const SHOWN_EVERY_MS = 100;

export const help: Helper = (form, box) => {
  const language = languageOf(box);
  const say = helperWords(language);
  const face = form.querySelector('[data-clock]')!;
  const times = form.querySelector('[data-times]')!;
  const press = form.querySelector<HTMLButtonElement>('[data-do="press"]')!;
  let began: number | null = null;
  let dripS: number | null = null;
  let stoppedS: number | null = null;
  let ticking: ReturnType<typeof setInterval> | undefined;

  const seconds = () => (began === null ? 0 : (performance.now() - began) / 1000);
  const tenths = (s: number) => figureIn(language, s, 1);
  const draw = () => {
    face.textContent = tenths(stoppedS ?? seconds());
    press.textContent =
      began === null ? say('clock.start') : dripS === null ? say('clock.drip') : say('clock.stop');
    times.textContent = [
      dripS === null ? '' : `${say('clock.drip')}: ${tenths(dripS)} s`,
      stoppedS === null ? '' : `${say('clock.stop')}: ${tenths(stoppedS)} s`,
    ]
      .filter((one) => one !== '')
      .join(' · ');
  };
  const onPress = () => {
    if (began === null) {
      began = performance.now();
      ticking = setInterval(draw, SHOWN_EVERY_MS);
    } else if (dripS === null) dripS = seconds();
    else if (stoppedS === null) {
      stoppedS = seconds();
      clearInterval(ticking);
    }
    draw();
  };
  const reset = () => {
    clearInterval(ticking);
    [began, dripS, stoppedS] = [null, null, null];
    draw();
  };
  const take = () => {
    const part = box.querySelector<HTMLDetailsElement>('[data-helper="shot"]')!;
    const fill = (name: string, s: number | null) => {
      if (s === null) return;
      part.querySelector<HTMLInputElement>(`[name="${name}"]`)!.value = s.toFixed(1);
    };
    fill('firstDripS', dripS);
    fill('timeS', stoppedS);
    part.querySelector<HTMLSelectElement>('[name="clock"]')!.value = 'pump';
    part.open = true;
    part.querySelector<HTMLInputElement>('[name="yieldG"]')!.focus();
  };
  press.addEventListener('click', onPress);
  form.querySelector('[data-do="reset"]')!.addEventListener('click', reset);
  form.querySelector('[data-do="take"]')!.addEventListener('click', take);
  draw();
};
