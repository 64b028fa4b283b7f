'use client';

import { PROPOSED_VARIABLES, type ProposedVariable } from '@/core/start/proposedVariables';
import type { Change } from '@/core/start/comingFrom';
import { useDialWords } from '@/ui/notation';
import { useUnits } from '@/ui/person';
import { SelectInput } from '@/ui/fields';
import { Notice, SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import type { Compared, StartView } from '@/views/start';
import { formatsOf, VARIABLES } from './variables';

/** What to change on the bench for someone whose bench now runs another coffee. */
export function ComingFrom({
  others,
  from,
  compared,
  onChoose,
}: {
  others: StartView['others'];
  from: string | null;
  compared: Compared | null;
  onChoose: (releaseId: string) => void;
}) {
  if (others.length === 0) return null;
  return (
    <section>
      <SectionTitle>Coming from another coffee</SectionTitle>
      <SelectInput
        label="The bench now runs"
        value={from ?? ''}
        onChange={onChoose}
        options={[
          { value: '', label: 'choose a coffee' },
          ...others.map(({ id, name }) => ({ value: id, label: name })),
        ]}
      />
      {compared && <Changes compared={compared} />}
      {from !== null && !compared && (
        <Notice>That coffee has no recipe on the bench. Choose another.</Notice>
      )}
    </section>
  );
}

function Changes({ compared: { changes, name, dial } }: { compared: Compared }) {
  const units = useUnits();
  const written = useDialWords();
  const known = PROPOSED_VARIABLES.flatMap((variable) => {
    const change = changes[variable];
    return change ? [{ variable, change }] : [];
  });
  return (
    <>
      <TableScroll aria-label={`Changes from ${name}`}>
        <Table>
          <TableHead
            columns={[
              { hidden: 'Figure' },
              'Now',
              'Then',
              'Change',
              'Likely (8 in 10)',
              { words: 'So' },
            ]}
          />
          <tbody>
            {known.map(({ variable, change }) => {
              const { format, formatChange } = formatsOf(variable, units);
              const { from, to, interval80 } = change;
              return (
                <tr key={variable}>
                  <td>
                    {variable === 'grindSteps' ? 'Grind, steps finer' : VARIABLES[variable].short}
                  </td>
                  <td>{format(from)}</td>
                  <td>{format(to)}</td>
                  <td>
                    <strong>{formatChange(change.change)}</strong>
                  </td>
                  <td>{interval80.map(formatChange).join(' to ')}</td>
                  <td className="words">{soWords(variable, change)}</td>
                </tr>
              );
            })}
            {dial && (
              <tr>
                <td>Dial</td>
                <td>{written(dial.from)}</td>
                <td>{written(dial.to)}</td>
                <td>
                  <strong>
                    {dial.from === dial.to
                      ? 'stays'
                      : `${written(dial.from)} → ${written(dial.to)}`}
                  </strong>
                </td>
                <td />
                <td className="words">on this grinder; purge before the first shot</td>
              </tr>
            )}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        Changes count from {name} as its bench has it now. Where its recipe differs from what the
        model would have proposed, the part the two coffees share is carried over.
      </Small>
    </>
  );
}

const WORDS: Record<ProposedVariable, readonly [less: string, more: string]> = {
  ratio: ['shorter', 'longer'],
  temperatureC: ['cooler', 'hotter'],
  timeS: ['quicker', 'slower'],
  grindSteps: ['coarser', 'finer'],
  doseG: ['less in the basket', 'more in the basket'],
};

/** A change the bench would not notice is none. House heuristic: half of the smallest step people set. */
const NOTICED: Record<ProposedVariable, number> = {
  ratio: 0.03,
  temperatureC: 0.25,
  timeS: 0.5,
  grindSteps: 0.25,
  doseG: 0.05,
};

function soWords(variable: ProposedVariable, { change, interval80: [low, high] }: Change): string {
  if (Math.abs(change) < NOTICED[variable]) return 'leave it';
  const word = WORDS[variable][change > 0 ? 1 : 0];
  return low < 0 && high > 0 ? `${word}, but hardly sure` : word;
}
