/** What of a recipe is public, in a few words: where the bench differs from it, by its figures. */
import type { Message } from '@/core/message';
import type { DifferingFigure, PublicState, RecipeFigures } from '@/core/state/recipeState';
import type { Units } from '@/core/units';
import { say } from './say';

const state = (name: string, values: Message['values'] = {}): Message => ({
  id: `state.${name}`,
  values,
});

function figureOf(
  name: DifferingFigure,
  { doseG, yieldG, timeS: [lowS, highS], clock, temperatureC }: RecipeFigures,
): Message {
  return {
    doseG: state('figure.doseG', { doseG }),
    yieldG: state('figure.yieldG', { yieldG }),
    timeS: state('figure.timeS', { lowS, highS, clock }),
    temperatureC: state('figure.temperatureC', { temperatureC }),
  }[name];
}

/** "version 2 is public", "public (version 2): 40.0 g, 25-30 s", "version 2 withdrawn", "not published". */
export function publicWords(newest: PublicState | null, units?: Units): string {
  if (newest === null) return say(state('public.none'));
  const { number, isWithdrawn, differs, recipe } = newest;
  if (isWithdrawn) return say(state('public.withdrawn', { number }));
  if (differs.length === 0) return say(state('public.same', { number }));
  const figures = differs.map((name) => say(figureOf(name, recipe), units)).join(', ');
  return say(state('public.differs', { number, figures }));
}
