'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import type { AnswerDraft } from '@/views/answerDraft';
import { MainButton } from '@/ui/Button';
import { Chip } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { TextAreaInput, TextInput } from '@/ui/fields';
import { Notice, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useTextForm } from '@/ui/useTextForm';

const Form = styled.form`
  display: grid;
  gap: 10px;
`;

/** The drafted answer, in the café's language, to be changed and put into the outbox. */
export function AnswerForm({
  partnerId,
  draft,
  signal,
}: {
  partnerId: string;
  draft: AnswerDraft;
  signal?: string | undefined;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { text, bind } = useTextForm({ subject: draft.subject, body: draft.body }, faultOf);
  const [asksRound, setAsksRound] = useState(draft.asksRound);
  const [isWritten, setWritten] = useState(false);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('answerPartner', {
      partnerId,
      releaseId: draft.releaseId,
      ...text,
      ...(signal !== undefined && { signal }),
      asksRound,
    });
    setWritten(answer.ok);
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Answer">
      {isWritten && (
        <Notice $kind="good" role="status">
          It lies in the outbox: copy it from Messages into your own mail or chat.
        </Notice>
      )}
      <TextInput label="Subject" {...bind('subject')} />
      <TextAreaInput label="Message" rows={12} {...bind('body')} />
      <Chip isSelected={asksRound} onChange={setAsksRound}>
        Ask a whole extra round of checks on its sheet
      </Chip>
      <Small>
        A round more finds a wrong scale that four weeks of checks would miss; a single repeat tells
        next to nothing.
      </Small>
      <Faults faults={faults} shown={['subject', 'body']} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          Put it into the outbox
        </MainButton>
      </p>
    </Form>
  );
}
