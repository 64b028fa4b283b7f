/** A value of a field as people read it. */
import { dayWords } from '../dayWords';
import { LIMITS } from '../limits';
import { programmeWords } from '../programme/words';
import type { Field } from './field';

/** "1850 m", "Washed", "lemon, plum"; empty when it is not known. Figures as they are kept. */
export function valueWords(field: Field, value: unknown): string {
  if (value === undefined || value === null) return '';
  switch (field.kind) {
    case 'quantity':
      return withUnit(
        field.named?.find(({ level }) => level === value)?.label ?? String(value),
        field.named ? '' : LIMITS[field.limit].unit,
      );
    case 'range': {
      const [low, high] = value as readonly [number, number];
      return withUnit(low === high ? String(low) : `${low}-${high}`, LIMITS[field.limit].unit);
    }
    case 'word':
      return field.labels[value as string] ?? '';
    case 'words':
      return (value as readonly string[]).map((word) => field.labels[word]).join(', ');
    case 'notes':
      return (value as readonly string[]).join(', ');
    case 'flag':
      return value ? 'yes' : 'no';
    case 'day':
      return dayWords(value as string);
    case 'steps':
      return programmeWords(value as never);
    case 'text':
      return value as string;
  }
}

function withUnit(figure: string, unit: string): string {
  return unit === '' ? figure : `${figure} ${unit}`;
}
