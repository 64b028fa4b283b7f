'use client';

import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { RELEASE } from '@/core/entity/release';
import type { StoredRelease } from '@/data/releases';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { DialogSheet } from '@/ui/DialogSheet';
import { labelsOf } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { StageTitle } from '@/ui/type';
import { offerEditUndo, offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import { ReleaseFields } from './ReleaseFields';
import {
  releaseSent,
  releaseTextOf,
  SHOWN_RELEASE,
  type ComponentText,
  type ReleaseText,
} from './releaseForm';

const Form = styled.form`
  display: grid;
  gap: 16px;
`;

const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;

  > :last-child {
    margin-left: auto;
  }
`;

const LABELS = { ...labelsOf(RELEASE), components: 'Components' };

/** The facts of a release, to correct; two people at once see what each made of them. */
export function EditRelease({ release, onDone }: { release: StoredRelease; onDone: () => void }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const form = useRowForm<ReleaseText>(
    { text: releaseTextOf(release), rowVersion: release.rowVersion },
    faultOf,
    `release ${release.id}`,
  );
  const cancel = () => {
    form.draft.forget();
    onDone();
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('editRelease', {
      releaseId: release.id,
      rowVersion: form.rowVersion,
      release: releaseSent(form.text),
    });
    if (!answer.ok) return;
    form.draft.forget();
    offerEditUndo(`The facts of ${release.name} were changed.`, answer.result.editId);
    onDone();
  };
  return (
    <>
      <StageTitle>Correct the facts</StageTitle>
      <DraftNotice draft={form.draft} />
      <Clashes
        clashes={form.clashes}
        takenOver={form.takenOver}
        labels={LABELS}
        onSettle={form.settle}
        show={(value) => (Array.isArray(value) ? componentsWords(value) : String(value))}
      />
      <Form onSubmit={onSubmit} noValidate aria-label="Facts of the release">
        <ReleaseFields text={form.text} change={form.change} faultOf={faultOf} />
        <Faults
          faults={faults}
          shown={form.hasMerged ? [...SHOWN_RELEASE, 'release'] : SHOWN_RELEASE}
        />
        <Actions>
          <MainButton type="submit" isPending={isBusy}>
            Save the facts
          </MainButton>
          <QuietButton onPress={cancel}>Leave them as they were</QuietButton>
          <TakeAway release={release} />
        </Actions>
      </Form>
    </>
  );
}

function componentsWords(components: readonly ComponentText[]): string {
  return components
    .map((component) =>
      Object.values(component)
        .filter((word) => word !== '')
        .join(', '),
    )
    .join('; ');
}

/** A release that goes away is asked for once; it can still be put back. */
function TakeAway({ release }: { release: StoredRelease }) {
  const router = useRouter();
  const { submit, faults, isBusy } = useCommand();
  const [isAsking, setAsking] = useState(false);
  const remove = async () => {
    const answer = await submit('remove', { what: 'release', id: release.id });
    if (!answer.ok) return;
    offerUndo({
      words: `${release.name} was deleted with its shots and cups.`,
      kind: 'restore',
      input: { what: 'release', id: release.id },
    });
    router.push('/');
  };
  return (
    <>
      <QuietButton onPress={() => setAsking(true)}>Delete this release</QuietButton>
      {isAsking && (
        <DialogSheet title={`Take ${release.name} away?`} onClose={() => setAsking(false)}>
          <p>
            It leaves every list, with its batches, shots and cups. Nothing is deleted: right after,
            you can put it back.
          </p>
          <Faults faults={faults} />
          <p>
            <Button onPress={() => void remove()} isPending={isBusy}>
              Take it away
            </Button>{' '}
            <QuietButton onPress={() => setAsking(false)}>Cancel</QuietButton>
          </p>
        </DialogSheet>
      )}
    </>
  );
}
