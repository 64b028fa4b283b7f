/** The week as plain text, for a message. */
import { figure } from '@/core/figure';
import { dayWords } from '@/core/dayWords';
import type { WeekView } from '@/views/cafeWeek';

export function weekText(week: WeekView): string {
  const share = week.checks === 0 ? '' : ` (${figure((100 * week.inside) / week.checks, 0)} %)`;
  return [
    `The field, ${dayWords(week.from)} to ${dayWords(week.to)}`,
    `${week.checks} checks from ${week.cafes} cafés, ${week.inside} inside${share}; ${week.drifting.length} off, ${week.answered} answered or explained.`,
    week.drifting.map(({ title }) => `- ${title}`).join('\n'),
    week.coffees
      .map(
        ({ name, checks, insidePct }) => `${name}: ${figure(insidePct, 0)} % of ${checks} inside`,
      )
      .join('\n'),
    week.toDo.length === 0
      ? 'Nothing to do.'
      : `To do:\n${week.toDo.map((one, i) => `${i + 1}. ${one}`).join('\n')}`,
  ]
    .filter((part) => part !== '')
    .join('\n\n');
}
