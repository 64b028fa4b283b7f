'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { BATCH } from '@/core/entity/batch';
import type { ComponentRow } from '@/core/entity/component';
import { entriesOf } from '@/core/entity/field';
import { LIMITS } from '@/core/limits';
import { REST_STATE_LABELS } from '@/core/rest/rest';
import { roastWord } from '@/core/vocabulary';
import type { BatchView } from '@/views/release';
import { Button, QuietButton } from '@/ui/Button';
import { dayWords } from '@/core/dayWords';
import { Faults } from '@/ui/Faults';
import { useMay, useUnits } from '@/ui/person';
import { SectionTitle, Small, Table, TableScroll, TableHead } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useOrder } from '@/ui/useOrder';

/** Fetched when it is opened. */
const BatchForm = dynamic(() => import('./BatchForm').then((all) => all.BatchForm));

/** Measured figures get a column as soon as one batch has them; the sample stands as what is left of it. */
const FIGURES = entriesOf(BATCH).flatMap(([name, field]) =>
  field.kind === 'quantity' && !field.named && name !== 'sampleG'
    ? [{ name, label: [field.label, LIMITS[field.limit].unit].filter(Boolean).join(', ') }]
    : [],
);

/** Every roast batch of a release: rest days belong to the batch. */
export function Batches({
  releaseId,
  components,
  batches,
  onBenchId,
  hasColourMeter,
}: {
  releaseId: string;
  components: readonly ComponentRow[];
  batches: readonly BatchView[];
  onBenchId: string;
  /** The setup on the bench has one linked. */
  hasColourMeter: boolean;
}) {
  const isLead = useMay('lead');
  const [open, setOpen] = useState<string | null>(null);
  const { submit, faults } = useCommand();
  const edited = batches.find(({ id }) => id === open);
  const known = FIGURES.filter(({ name }) => batches.some((batch) => batch[name] !== undefined));
  const ordered = useOrder(batches, {
    by: {
      roasted: ({ roastDate }) => roastDate,
      roast: ({ roast }) => roast.level,
      left: ({ leftG }) => leftG,
      rest: ({ rest }) => rest.restDays,
    },
    down: ['roasted', 'left', 'rest'],
  });
  const remove = async ({ id, roastDate }: BatchView) => {
    const answer = await submit('remove', { what: 'batch', id });
    if (answer.ok)
      offerUndo({
        words: `The batch of ${dayWords(roastDate)} was deleted.`,
        kind: 'restore',
        input: { what: 'batch', id },
      });
  };
  return (
    <section>
      <SectionTitle>Roast batches</SectionTitle>
      <TableScroll aria-label="Roast batches">
        <Table>
          <TableHead
            columns={[
              ordered.head('roasted', { words: 'Roasted' }),
              ordered.head('roast', { words: 'Roast' }),
              ...known.map(({ label }) => label),
              ordered.head('left', { figures: 'Sample left' }),
              ordered.head('rest', { words: 'Rest' }),
              isLead ? 'Change' : '',
            ]}
          />
          <tbody>
            {ordered.rows.map((batch) => (
              <Row
                key={batch.id}
                batch={batch}
                known={known}
                isOnBench={batch.id === onBenchId && batches.length > 1}
                onEdit={() => setOpen(batch.id)}
                onRemove={
                  batches.length > 1 && batch.marks.length === 0
                    ? () => void remove(batch)
                    : undefined
                }
              />
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Faults faults={faults} />
      {edited && (
        <BatchForm
          key={edited.id}
          releaseId={releaseId}
          components={components}
          batch={edited}
          hasColourMeter={hasColourMeter}
          onDone={() => setOpen(null)}
        />
      )}
      {open === 'new' && (
        <BatchForm
          releaseId={releaseId}
          components={components}
          hasColourMeter={hasColourMeter}
          onDone={() => setOpen(null)}
        />
      )}
      {isLead && open === null && (
        <p style={{ marginTop: 10 }}>
          <Button onPress={() => setOpen('new')}>Add a batch</Button>
        </p>
      )}
    </section>
  );
}

function Row({
  batch,
  known,
  isOnBench,
  onEdit,
  onRemove,
}: {
  batch: BatchView;
  /** Columns that any batch fills. */
  known: typeof FIGURES;
  isOnBench: boolean;
  onEdit: () => void;
  onRemove: (() => void) | undefined;
}) {
  const isLead = useMay('lead');
  const { mass } = useUnits();
  const { roast, rest, leftG } = batch;
  const named = `${dayWords(batch.roastDate)}${batch.label && `, ${batch.label}`}`;
  return (
    <tr>
      <td>
        {named}
        {isOnBench && <strong> on the bench</strong>}
        {batch.sharesPct !== '' && <Small as="span"> shares {batch.sharesPct}</Small>}
      </td>
      <td className="words">{roast.level === null ? 'not known' : roastWord(roast.level)}</td>
      {known.map(({ name }) => (
        <td key={name}>{batch[name] ?? ''}</td>
      ))}
      <td>{leftG === null ? '' : mass(Math.max(0, leftG), 0)}</td>
      <td className="words">
        day {rest.restDays}, {REST_STATE_LABELS[rest.state].toLowerCase()}
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        {isLead && (
          <>
            <QuietButton onPress={onEdit} aria-label={`Change the batch of ${named}`}>
              change
            </QuietButton>
            {onRemove && (
              <QuietButton onPress={onRemove} aria-label={`Delete the batch of ${named}`}>
                delete
              </QuietButton>
            )}
          </>
        )}
      </td>
    </tr>
  );
}
