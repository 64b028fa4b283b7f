'use client';

import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { BATCH } from '@/core/entity/batch';
import { MainButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Page } from '@/ui/Page';
import { SectionTitle, StageTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { BatchFields } from './BatchFields';
import { PasteBag } from './PasteBag';
import { withBag } from './pasteBag';
import { ReleaseFields } from './ReleaseFields';
import { sentOf } from '@/ui/entryText';
import {
  EMPTY_RELEASE,
  emptyBatch,
  releaseSent,
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
export function NewRelease({ today }: { today: string }) {
  const router = useRouter();
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [release, setRelease] = useState<ReleaseText>(EMPTY_RELEASE);
  const [batch, setBatch] = useState<BatchText>(() => emptyBatch(today));
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('createRelease', {
      release: releaseSent(release),
      batch: sentOf(BATCH, batch),
    });
    if (answer.ok) router.push(`/releases/${String(answer.result.releaseId)}/read`);
  };
  return (
    <Page>
      <StageTitle as="h1">A new release</StageTitle>
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
          <MainButton type="submit" isDisabled={isBusy}>
            Create and read it
          </MainButton>
        </p>
      </Form>
    </Page>
  );
}
