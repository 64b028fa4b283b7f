'use client';

import type { FormEvent } from 'react';
import styled from 'styled-components';
import type { Commands } from '@/core/command/inputs';
import { PART_NAMES, PARTS, type Part } from '@/core/entity/equipment';
import type { StoredParts } from '@/data/equipment';
import type { StoredSetup } from '@/data/setups';
import { MainButton, QuietButton } from '@/ui/Button';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { shownFields, textOf as entryTextOf, type EntryText } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { SETUP_LINKS } from '@/core/entity/setup';
import { INSTRUMENT_LABELS, INSTRUMENTS, LINK_LABELS, LINKS } from '@/core/vocabulary';
import { SelectInput, TextInput } from '@/ui/fields';
import { SectionTitle, Small } from '@/ui/type';
import { offerEditUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import { PartFields } from './PartFields';
import { NEW_PARTS, partSent, type PartTexts } from './partText';

const Form = styled.form`
  display: grid;
  gap: 14px;
  padding: 12px 0 16px;
`;

const Instruments = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 10px 14px;
  margin-top: 8px;
`;

const Half = styled.div`
  max-width: 420px;
`;

export type PartLists = { readonly [P in Part]: readonly StoredParts[P][] };

interface SetupText extends PartTexts, EntryText<typeof SETUP_LINKS> {
  readonly name: string;
  /** Empty for a part that is described here as a new one. */
  readonly machineId: string;
  readonly grinderId: string;
  readonly basketId: string;
}

const LABELS = {
  name: 'Name of the setup',
  machineId: 'Machine',
  grinderId: 'Grinder',
  basketId: 'Basket',
  ...INSTRUMENT_LABELS,
};

const LINK_OPTIONS = LINKS.map((value) => ({ value, label: LINK_LABELS[value] }));
const SHOWN = [
  'setup.name',
  ...PART_NAMES.flatMap((part) => shownFields(PARTS[part]).map((field) => `${part}.${field}`)),
];

/** A setup from parts that are there, or with new ones described in the same go. */
export function SetupEditor({
  stored,
  parts,
  onDone,
  mayLeave,
}: {
  stored: StoredSetup | null;
  parts: PartLists;
  onDone: () => void;
  mayLeave: boolean;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const form = useRowForm<SetupText>(
    { text: textOf(stored, parts), rowVersion: stored?.rowVersion ?? 0 },
    faultOf,
    `setup ${stored?.id ?? 'new'}`,
  );
  const { text, change } = form;
  const cancel = () => {
    form.draft.forget();
    onDone();
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveSetup', {
      ...(stored && { setupId: stored.id, rowVersion: form.rowVersion }),
      setup: sentSetup(text),
    });
    if (!answer.ok) return;
    form.draft.forget();
    offerEditUndo(`The setup ${text.name} was changed.`, answer.result.editId);
    onDone();
  };
  const nameOf = (value: unknown) =>
    PART_NAMES.flatMap((part) => [...parts[part]] as { id: string; name: string }[]).find(
      ({ id }) => id === value,
    )?.name ?? String(value);
  return (
    <Form onSubmit={onSubmit} noValidate aria-label={stored ? 'Change setup' : 'New setup'}>
      <DraftNotice draft={form.draft} />
      <Clashes
        clashes={form.clashes}
        takenOver={form.takenOver}
        labels={LABELS}
        onSettle={form.settle}
        show={nameOf}
      />
      <Half>
        <TextInput label="Name of the setup" {...form.bind('name', 'setup.name')} autoFocus />
      </Half>
      {PART_NAMES.map((part) => (
        <section key={part}>
          <SectionTitle as="h3">{LABELS[`${part}Id`]}</SectionTitle>
          {parts[part].length > 0 && (
            <Half style={{ margin: '8px 0 12px' }}>
              <SelectInput
                label={`Which ${part}`}
                {...form.bind(`${part}Id`)}
                options={[
                  ...parts[part].map(({ id, name }) => ({ value: id, label: name })),
                  { value: '', label: 'A new one' },
                ]}
              />
            </Half>
          )}
          {text[`${part}Id`] === '' && (
            <div style={{ marginTop: 10 }}>
              <PartFields
                part={part}
                text={text[part]}
                change={(fields) => change({ [part]: { ...text[part], ...fields } })}
                faultOf={(field) => faultOf(`${part}.${field.replace(`${part}.`, '')}`)}
              />
            </div>
          )}
        </section>
      ))}
      <section>
        <SectionTitle as="h3">Instruments</SectionTitle>
        <Small>
          A simulated instrument makes its readings up. Its shots are marked, and publish nothing.
          Machine control and refractometer work with the simulated scale only.
        </Small>
        <Instruments>
          {INSTRUMENTS.map((instrument) => (
            <SelectInput
              key={instrument}
              label={INSTRUMENT_LABELS[instrument]}
              {...form.bind(instrument)}
              options={LINK_OPTIONS}
            />
          ))}
        </Instruments>
      </section>
      <Faults faults={faults} shown={form.hasMerged ? [...SHOWN, 'setup'] : SHOWN} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          {stored ? 'Save the setup' : 'Add the setup'}
        </MainButton>{' '}
        {mayLeave && <QuietButton onPress={cancel}>Cancel</QuietButton>}
      </p>
    </Form>
  );
}

function textOf(stored: StoredSetup | null, parts: PartLists): SetupText {
  return {
    ...NEW_PARTS,
    name: stored?.name ?? '',
    machineId: stored?.machine.id ?? parts.machine[0]?.id ?? '',
    grinderId: stored?.grinder.id ?? parts.grinder[0]?.id ?? '',
    basketId: stored?.basket.id ?? parts.basket[0]?.id ?? '',
    ...entryTextOf(SETUP_LINKS, stored?.links ?? {}),
  };
}

/** Each part by its id, or described as a new one. */
function sentSetup(text: SetupText): Commands['saveSetup']['asks']['setup'] {
  const chosen = PART_NAMES.map((part) => {
    const id = text[`${part}Id`];
    return id === '' ? [part, partSent(part, text[part])] : [`${part}Id`, id];
  });
  const links = Object.fromEntries(INSTRUMENTS.map((name) => [name, text[name]]));
  return { name: text.name, ...Object.fromEntries(chosen), links };
}
