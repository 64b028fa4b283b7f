'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { readNumber } from '@/core/readNumber';
import { countedIn } from '@/core/grinder/notation';
import { PERIOD_KINDS, PERIOD_LABELS } from '@/core/grinder/calibrationPeriod';
import type { StoredPeriod } from '@/data/calibrationPeriods';
import type { StoredGrinder } from '@/data/equipment';
import { MainButton, QuietButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { FieldGrid, QuantityInput, TextInput } from '@/ui/fields';
import { useMay } from '@/ui/person';
import { signed } from '@/core/figure';
import { Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useTextForm } from '@/ui/useTextForm';

const Form = styled.form`
  grid-column: 1 / -1;
  display: grid;
  gap: 12px;
  padding: 10px 0 12px;
`;

const KINDS = PERIOD_KINDS.map((value) => ({ value, label: PERIOD_LABELS[value] }));
const EMPTY = { kind: 'zero' as (typeof PERIOD_KINDS)[number], shift: '', reason: '' };

/** When a grinder's numbers began to mean something else, and the press that says so. */
export function CalibrationPeriods({
  grinder,
  periods,
}: {
  grinder: StoredGrinder;
  periods: readonly StoredPeriod[];
}) {
  const isLead = useMay('lead');
  const [isOpen, setOpen] = useState(false);
  const newest = periods.at(-1);
  return (
    <>
      {newest && (
        <Small as="p" style={{ gridColumn: '2 / -1' }}>
          {PERIOD_LABELS[newest.kind]} since {dayWords(newest.beganAt.slice(0, 10))}
          {newest.shift !== null &&
            `, the same grind reads ${[signed(newest.shift), countedIn(grinder)].filter(Boolean).join(' ')}`}
          : {newest.reason}.{' '}
          {newest.shift === null
            ? 'What it taught before is kept apart.'
            : 'Older dials are read on the new scale.'}
        </Small>
      )}
      {isLead && !isOpen && (
        <span style={{ gridColumn: '2 / -1' }}>
          <QuietButton
            onPress={() => setOpen(true)}
            aria-label={`New zero point or burrs of ${grinder.name}`}
          >
            new zero point or burrs
          </QuietButton>
        </span>
      )}
      {isOpen && <EraForm grinder={grinder} onDone={() => setOpen(false)} />}
    </>
  );
}

function EraForm({ grinder, onDone }: { grinder: StoredGrinder; onDone: () => void }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { text, bind, change } = useTextForm(EMPTY, faultOf);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const { kind, shift, reason } = text;
    const answer = await submit('beginCalibrationPeriod', {
      grinderId: grinder.id,
      kind,
      reason,
      ...(kind === 'zero' && { shift: readNumber(shift) }),
    });
    if (answer.ok) onDone();
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label={`What was done to ${grinder.name}`}>
      <Choice
        label="What was done"
        value={text.kind}
        onChange={(kind) => change({ kind })}
        options={KINDS}
      />
      <FieldGrid $columns={2}>
        {text.kind === 'zero' && (
          <QuantityInput
            label="The same grind now reads higher by"
            quantity="dialShift"
            step={grinder.stepSize}
            hint={`${countedIn(grinder) && `In ${countedIn(grinder)}. `}Below nought if lower; empty if not known`}
            {...bind('shift')}
          />
        )}
        <TextInput label="Reason" hint="Kept with the grinder" {...bind('reason')} />
      </FieldGrid>
      <Small>
        {text.kind === 'burrs'
          ? 'New burrs cut otherwise: what the old ones taught is kept apart, and the reference dial is asked anew. Unplug the grinder before you open it; burrs that touch are damaged.'
          : 'With the shift all it taught is kept, its dials on the new scale. Without it learning begins anew. Unplug the grinder before you open it.'}
      </Small>
      <Faults faults={faults} shown={['kind', 'shift', 'reason']} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          Keep it
        </MainButton>{' '}
        <QuietButton onPress={onDone}>Cancel</QuietButton>
      </p>
    </Form>
  );
}
