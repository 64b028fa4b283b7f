'use client';

import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { BATCH } from '@/core/entity/batch';
import type { StoredRelease } from '@/data/releases';
import { MainButton } from '@/ui/Button';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { Page } from '@/ui/Page';
import { SectionTitle, StageTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useDraft } from '@/ui/useDraft';
import { BatchFields } from './BatchFields';
import { PasteBag } from './PasteBag';
import { withBag } from './pasteBag';
import { ReleaseFields } from './ReleaseFields';
import { sentOf } from '@/ui/entryText';
import {
  EMPTY_RELEASE,
  EMPTY_BATCH,
  releaseSent,
  releaseTextOf,
  SHOWN_BATCH,
  SHOWN_RELEASE,
  type BatchText,
  type ReleaseText,
} from './releaseForm';

const Form = styled.form`
  display: grid;
  gap: 16px;
`;

/** A release and its first batch, from what the bag says. */
export function NewRelease({ like }: { like: StoredRelease | null }) {
  const router = useRouter();
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [release, setRelease] = useState<ReleaseText>(() =>
    like ? releaseTextOf(like) : EMPTY_RELEASE,
  );
  const [batch, setBatch] = useState<BatchText>(EMPTY_BATCH);
  const start = { release: like ? releaseTextOf(like) : EMPTY_RELEASE, batch: EMPTY_BATCH };
  const draft = useDraft(`new release ${like?.id ?? ''}`, {
    value: { release, batch },
    initial: start,
    onRestore: (kept) => {
      setRelease(kept.release);
      setBatch(kept.batch);
    },
  });
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('createRelease', {
      release: releaseSent(release),
      batch: sentOf(BATCH, batch),
    });
    if (!answer.ok) return;
    draft.forget();
    router.push(`/releases/${String(answer.result.releaseId)}/read`);
  };
  return (
    <Page $isNarrow>
      <StageTitle as="h1">{like ? `A new release like ${like.name}` : 'A new release'}</StageTitle>
      <DraftNotice draft={draft} />
      <PasteBag
        onTake={(facts, left) => {
          const next = withBag({ release, batch }, facts, left);
          setRelease(next.release);
          setBatch(next.batch);
        }}
      />
      <Form onSubmit={onSubmit} noValidate>
        <ReleaseFields
          text={release}
          change={(part) => setRelease((before) => ({ ...before, ...part }))}
          faultOf={faultOf}
          isNew
        />
        <SectionTitle as="h2">The batch in hand</SectionTitle>
        <BatchFields
          text={batch}
          change={(part) => setBatch((before) => ({ ...before, ...part }))}
          faultOf={faultOf}
        />
        <Faults faults={faults} shown={[...SHOWN_RELEASE, ...SHOWN_BATCH]} />
        <p>
          <MainButton type="submit" isPending={isBusy}>
            Create and read it
          </MainButton>
        </p>
      </Form>
    </Page>
  );
}
