'use client';

import type { FormEvent } from 'react';
import styled from 'styled-components';
import { reachOf } from '@/core/programme/reach';
import type { Programme } from '@/core/programme/step';
import { programmeWords } from '@/core/programme/words';
import { STYLE_LABELS, STYLES, type BrewStyle } from '@/core/vocabulary';
import type { StoredProgramme } from '@/data/programmes';
import type { StoredSetup } from '@/data/setups';
import { MainButton, QuietButton } from '@/ui/Button';
import { Chip } from '@/ui/choices';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { FieldGrid, SelectInput, TextInput } from '@/ui/fields';
import { LazyWriteProgramme } from '@/ui/programme/LazyWriteProgramme';
import { drawnOf, inputOf, textOf, type ProgrammeText } from '@/ui/programme/stepText';
import { Notice } from '@/ui/type';
import { offerEditUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import { reachWords } from '@/words/reachWords';
import type { Aims } from './aims';
import { REFERENCE_BASKET, REFERENCE_COFFEE } from './reference';

const Form = styled.form`
  display: grid;
  gap: 14px;
  padding: 14px 0 18px;
`;

interface Text {
  readonly name: string;
  readonly style: string;
  readonly steps: ProgrammeText;
  readonly isFirst: boolean;
}

const LABELS = {
  name: 'Name',
  style: 'Brew style',
  steps: 'Steps',
  isFirst: 'Start begins with it',
} as const;

/** One programme of the house, to write or to change. */
export function ProgrammeForm({
  stored,
  like,
  setups,
  aims,
  onDone,
}: {
  /** Null for a new one. */
  stored: StoredProgramme | null;
  like: { readonly style: BrewStyle; readonly steps: Programme };
  setups: readonly StoredSetup[];
  aims: Aims;
  onDone: () => void;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { steps, style } = stored ?? like;
  const form = useRowForm<Text>(
    {
      text: {
        name: stored?.name ?? '',
        style,
        steps: textOf(steps),
        isFirst: stored?.isFirst ?? false,
      },
      rowVersion: stored?.rowVersion ?? 0,
    },
    faultOf,
    `programme ${stored?.id ?? 'new'}`,
  );
  const { text, change } = form;
  const { doseG, yieldG, temperatureC, timeS } = aims[text.style as BrewStyle];
  const cancel = () => {
    form.draft.forget();
    onDone();
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const { name, style: chosen, isFirst } = text;
    const answer = await submit('saveProgramme', {
      ...(stored && { id: stored.id, rowVersion: form.rowVersion }),
      name,
      style: chosen,
      isFirst,
      steps: inputOf(text.steps),
    });
    if (!answer.ok) return;
    form.draft.forget();
    offerEditUndo(`The programme ${name} was changed.`, answer.result.editId);
    onDone();
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label={stored ? 'Change programme' : 'New programme'}>
      <DraftNotice draft={form.draft} />
      <Clashes
        clashes={form.clashes}
        takenOver={form.takenOver}
        labels={LABELS}
        onSettle={form.settle}
        show={(value, field) => shown(value, field)}
      />
      <FieldGrid $columns={2}>
        <TextInput label={LABELS.name} {...form.bind('name')} autoFocus />
        <SelectInput
          label={LABELS.style}
          {...form.bind('style')}
          options={STYLES.map((value) => ({ value, label: STYLE_LABELS[value] }))}
        />
      </FieldGrid>
      <LazyWriteProgramme
        text={text.steps}
        onChange={(next) => change({ steps: next })}
        windowS={timeS}
        faultOf={faultOf}
        tryWith={{
          coffee: REFERENCE_COFFEE,
          basket: REFERENCE_BASKET,
          recipe: { doseG, yieldG, temperatureC, centreS: (timeS[0] + timeS[1]) / 2 },
        }}
      />
      {setups.map(({ id, name, machine }) => {
        const reach = reachOf(drawnOf(text.steps), machine);
        return (
          !reach.isWhole && (
            <Notice key={id}>
              {name}: {reachWords(reach)}
            </Notice>
          )
        );
      })}
      <p>
        <Chip isSelected={text.isFirst} onChange={(isFirst) => change({ isFirst })}>
          Start begins {STYLE_LABELS[text.style as BrewStyle].toLowerCase()} with it
        </Chip>
      </p>
      <Faults faults={faults} shown={form.hasMerged ? [...SHOWN, 'programme'] : SHOWN} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          {stored ? 'Save the programme' : 'Add the programme'}
        </MainButton>{' '}
        <QuietButton onPress={cancel}>Cancel</QuietButton>
      </p>
    </Form>
  );
}

const SHOWN = ['name', 'style'];

function shown(value: Text[keyof Text], field: keyof Text): string {
  if (field === 'steps') return programmeWords(drawnOf(value as ProgrammeText));
  if (field === 'style') return STYLE_LABELS[value as BrewStyle];
  return field === 'isFirst' ? (value ? 'yes' : 'no') : String(value);
}
