/** Which of the card's phases today is, by the roast date on the bag. */
import { helperWords } from '@/words/helperWords';
import { daysBetween } from '@/core/rest/day';
import { phasesIn } from '@/formats/recipe/sections';
import { bodyOf, languageOf, onSend, show, type Helper } from './helper';

export const help: Helper = (form, box) => {
  const language = languageOf(box);
  const say = helperWords(language);
  const field = form.elements.namedItem('roasted') as HTMLInputElement;
  const find = async () => {
    const body = await bodyOf(box);
    const day = dayToday();
    const restDays = /^\d{4}-\d\d-\d\d$/.test(field.value) ? daysBetween(field.value, day) : -1;
    if (!(restDays >= 0)) return show(form, [say('today.noDay')]);
    const [from, to] = body.recipe.restDays;
    const phase = phasesIn(body, language)?.rows.find(
      (row) => restDays >= row.from && restDays <= row.to,
    );
    for (const row of document.querySelectorAll<HTMLElement>('tr[data-from]'))
      row.dataset.today = String(phase !== undefined && row.dataset.from === String(phase.from));
    show(form, [
      say('today.isDay', { day: restDays }),
      ...(restDays < from ? [say('today.tooFresh', { day: from })] : []),
      ...(restDays > to ? [say('today.tooOld', { day: to })] : []),
      ...(phase ? [say('today.isIn', { days: phase.days, grind: phase.grind })] : []),
    ]);
  };
  onSend(form, language, find);
  const scanned = new URLSearchParams(location.search).get('roasted');
  if (scanned) {
    field.value = scanned;
    form.requestSubmit();
  }
};

/** The day where the reader is, yyyy-mm-dd. */
function dayToday(): string {
  const now = new Date();
  const two = (part: number) => String(part).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
