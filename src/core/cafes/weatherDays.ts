/** The weather of a region day by day, and what the checks of each day leave beside it. */
import type { CafesModel } from './model';

export interface WeatherDay {
  readonly day: number;
  /** Mean over the day's checks of what the weather and their own scatter leave, ln time. */
  readonly offLn: number;
  /** Of the weather alone, as fitted. */
  readonly fitLn: number;
  readonly checks: number;
}

/** @param cafeIds of one region; oldest day first. */
export function weatherDays(model: CafesModel, cafeIds: readonly string[]): WeatherDay[] {
  const days = new Map<number, { sum: number; fitLn: number; checks: number }>();
  for (const id of cafeIds) {
    const cafe = model.fitted(id);
    if (cafe === null) continue;
    const { rows, fit } = cafe;
    const columns = new Map(
      rows.sharedKeys.flatMap(({ day }, at) => (day === null ? [] : [[day, rows.localSize + at]])),
    );
    rows.visits.forEach((visit, v) =>
      visit.forEach(({ check }, i) => {
        const day = Math.floor(check.atDay);
        const fitLn = fit.effects[columns.get(day)!]!;
        const known = days.get(day) ?? { sum: 0, fitLn, checks: 0 };
        known.sum += fitLn + fit.residuals[v]![i]!;
        known.checks++;
        days.set(day, known);
      }),
    );
  }
  return [...days]
    .sort(([a], [b]) => a - b)
    .map(([day, { sum, fitLn, checks }]) => ({ day, offLn: sum / checks, fitLn, checks }));
}
