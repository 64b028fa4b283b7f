/** The checks of a coffee as its batches see them: everything else that the field knows of each is taken out. */
import type { CafesModel } from './model';
import { batchColumn } from './rows';

export interface BatchPoint {
  readonly batch: string | null;
  readonly atDay: number;
  /** What the batch and the shot's own scatter leave, ln time. */
  readonly offLn: number;
  /** Of the batch alone, as fitted. */
  readonly fitLn: number;
  /** Probability that the shot is no odd one. */
  readonly good: number;
}

/** Checks of all cafés in the window, oldest first. */
export function batchPoints(
  model: CafesModel,
  cafeIds: readonly string[],
  coffee: string,
): BatchPoint[] {
  return cafeIds
    .flatMap((id): BatchPoint[] => {
      const cafe = model.fitted(id);
      if (cafe === null) return [];
      const { rows, fit, block } = cafe;
      const { localSize, sharedKeys } = rows;
      const columns = new Map(sharedKeys.map(({ name }, at) => [name, localSize + at]));
      return rows.visits.flatMap((visit, v) =>
        visit.flatMap(({ check }, i): BatchPoint[] => {
          if (check.coffee !== coffee) return [];
          const fitLn = fit.effects[columns.get(batchColumn(check))!]!;
          return [
            {
              batch: check.batch,
              atDay: check.atDay,
              offLn: fitLn + fit.residuals[v]![i]!,
              fitLn,
              good: block.weights[v]![i]!.good,
            },
          ];
        }),
      );
    })
    .sort((a, b) => a.atDay - b.atDay);
}
