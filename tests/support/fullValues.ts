/** A value for every field of an entity, made from what the field says of itself. */
import { entriesOf, type Fields, type Row } from '@/core/entity/field';
import { LIMITS } from '@/core/limits';

/** Within its limits, not a round one, and with no more digits than a sheet keeps. */
function figureOf(limit: keyof typeof LIMITS, isWhole = false): number {
  const { min, max } = LIMITS[limit];
  const middle = min + (max - min) / 3;
  return isWhole ? Math.round(middle) : Number(middle.toFixed(1));
}

/** Every field known; texts carry their own name, so that a swapped column shows. */
export function fullValues<F extends Fields>(fields: F): Row<F> {
  return Object.fromEntries(
    entriesOf(fields).map(([name, field]) => {
      switch (field.kind) {
        case 'quantity':
          return [name, field.named?.[1]?.level ?? figureOf(field.limit, field.isWhole)];
        case 'range': {
          const low = figureOf(field.limit, field.isWhole);
          return [name, [low, low + 2]];
        }
        case 'text':
          return [name, `${name}, as said`];
        case 'word':
          return [name, field.words.at(-1)];
        case 'words':
          return [name, field.words.slice(0, 2)];
        case 'notes':
          return [name, [`${name} one`, `${name} two`]];
        case 'flag':
          return [name, field.default !== true];
        case 'day':
          return [name, '2026-05-06'];
        case 'steps':
          return [name, [{ drive: 'pressure', level: 8, seconds: 20, ramp: true }]];
      }
    }),
  ) as Row<F>;
}
