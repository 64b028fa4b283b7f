'use client';

import { Button } from './Button';
import { Notice, Table, TableScroll, TableHead } from './type';
import type { Clash } from './useRowForm';

/** Both versions of every field two people changed, to choose from. */
export function Clashes<T>({
  clashes,
  takenOver,
  labels,
  onSettle,
  show = (value) => String(value),
}: {
  clashes: readonly Clash<T>[];
  takenOver: readonly (keyof T & string)[];
  labels: Readonly<Partial<Record<keyof T & string, string>>>;
  onSettle: (field: keyof T & string, value: T[keyof T]) => void;
  show?: (value: T[keyof T], field: keyof T & string) => string;
}) {
  if (clashes.length === 0 && takenOver.length === 0) return null;
  const labelOf = (field: keyof T & string) => labels[field] ?? field;
  const words = (value: T[keyof T], field: keyof T & string) => show(value, field) || 'nothing';
  return (
    <section aria-label="Changed by two people" aria-live="polite">
      <Notice>
        Someone else saved this while you were writing.{' '}
        {takenOver.length > 0 && `Taken over from them: ${takenOver.map(labelOf).join(', ')}. `}
        {clashes.length > 0
          ? 'Both of you changed the fields below: choose what holds, then save. Yours stands in the form until you do.'
          : 'Your own changes stand; save them.'}
      </Notice>
      {clashes.length > 0 && (
        <TableScroll aria-label="Both versions">
          <Table>
            <TableHead columns={['Field', { words: 'Yours' }, { words: 'Theirs' }]} />
            <tbody>
              {clashes.map(({ field, mine, theirs }) => (
                <tr key={field}>
                  <td>{labelOf(field)}</td>
                  <td className="words">
                    {words(mine, field)}{' '}
                    <Button onPress={() => onSettle(field, mine)}>Keep yours</Button>
                  </td>
                  <td className="words">
                    {words(theirs, field)}{' '}
                    <Button onPress={() => onSettle(field, theirs)}>Take theirs</Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </TableScroll>
      )}
    </section>
  );
}
