'use client';

import { Link } from '@/ui/Link';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { LANGUAGE_NAMES, type Language } from '@/core/language';
import { LOCALES } from '@/words/figures';
import type { Message, MessageAudience, Remark } from '@/data/messages';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { TextAreaInput, TextInput } from '@/ui/fields';
import { Moment } from '@/ui/moment';
import { Columns, Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { SectionTitle, Small, StageTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useTextForm } from '@/ui/useTextForm';

const AUDIENCES: Readonly<Record<MessageAudience, string>> = {
  partners: 'to partners',
  team: 'to the team',
  partner: 'to one café',
};

const List = styled.ul`
  display: grid;
  gap: 14px;
  margin-top: 10px;

  > li {
    display: grid;
    gap: 6px;
    padding-top: 10px;
    border-top: 1px solid var(--rule);
  }
`;

const Told = styled.p`
  max-width: 70ch;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
`;

const Form = styled.form`
  display: grid;
  gap: 10px;
`;

/** What readers of cards said, and what the house wrote when a version went out. */
export function MessagesPage({
  messages,
  remarks,
}: {
  messages: readonly Message[];
  remarks: readonly Remark[];
}) {
  return (
    <Page>
      <StageTitle as="h1">Messages</StageTitle>
      <Columns>
        <section>
          <SectionTitle as="h2">Outbox</SectionTitle>
          <Small>
            Written when a version is published. Nothing is sent from here: copy a message into your
            own mail or chat, then file it.
          </Small>
          {messages.length === 0 ? (
            <p>
              Nothing yet. Publish a recipe, and what partners and team should know stands here.
            </p>
          ) : (
            <List>
              {messages.map((message) => (
                <li key={message.id}>
                  <MessageEntry message={message} key={message.rowVersion} />
                </li>
              ))}
            </List>
          )}
        </section>
        <section>
          <SectionTitle as="h2">What readers said</SectionTitle>
          <Small>Left on public cards, without a name. Nobody can be answered.</Small>
          {remarks.length === 0 ? (
            <p>No remark yet. Every public card has a place for one.</p>
          ) : (
            <List>
              {remarks.map((remark) => (
                <li key={remark.id}>
                  <RemarkEntry remark={remark} />
                </li>
              ))}
            </List>
          )}
        </section>
      </Columns>
    </Page>
  );
}

function MessageEntry({ message }: { message: Message }) {
  const [isEditing, setEditing] = useState(false);
  const { submit, faults, isBusy } = useCommand();
  const isLead = useMay('lead');
  const { id, releaseId, release, audience, partner, subject, body, madeAt, madeBy, filedAt } =
    message;
  if (isEditing) return <EditMessage message={message} onDone={() => setEditing(false)} />;
  return (
    <>
      <p>
        <strong>{subject}</strong>{' '}
        <Small>{partner === null ? AUDIENCES[audience] : `to ${partner}`}</Small>
      </p>
      <Told>{body}</Told>
      <Small>
        <Link href={`/releases/${releaseId}/publish`}>{release}</Link>, by {madeBy},{' '}
        <Moment at={madeAt} />
        {filedAt && (
          <>
            ; filed <Moment at={filedAt} />
          </>
        )}
      </Small>
      {!filedAt && isLead && (
        <p>
          <Button onPress={() => void navigator.clipboard.writeText(`${subject}\n\n${body}`)}>
            Copy
          </Button>{' '}
          <Button onPress={() => setEditing(true)}>Change</Button>{' '}
          <Button isPending={isBusy} onPress={() => void submit('fileMessage', { messageId: id })}>
            File it: they know
          </Button>
        </p>
      )}
      <Faults faults={faults} />
    </>
  );
}

function EditMessage({ message, onDone }: { message: Message; onDone: () => void }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { id, rowVersion, subject, body } = message;
  const { text, bind } = useTextForm({ subject, body }, faultOf);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('editMessage', { messageId: id, rowVersion, ...text });
    if (answer.ok) onDone();
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Change the message">
      <TextInput label="Subject" {...bind('subject')} />
      <TextAreaInput label="Message" rows={12} {...bind('body')} />
      <Faults faults={faults} shown={['subject', 'body']} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          Save
        </MainButton>{' '}
        <QuietButton onPress={onDone}>Cancel</QuietButton>
      </p>
    </Form>
  );
}

function RemarkEntry({ remark }: { remark: Remark }) {
  const { submit, faults, isBusy } = useCommand();
  const isBench = useMay('bench');
  const { id, releaseId, release, versionNumber, words, saidAt, settledAt } = remark;
  const language = remark.language as Language;
  return (
    <>
      <Told lang={LOCALES[language]}>{words}</Told>
      <Small>
        <Link href={`/releases/${releaseId}/publish`}>{release}</Link>, version {versionNumber}, in{' '}
        {LANGUAGE_NAMES[language]}, <Moment at={saidAt} />
        {settledAt && '; settled'}
      </Small>
      {!settledAt && isBench && (
        <p>
          <Button isPending={isBusy} onPress={() => void submit('settleRemark', { remarkId: id })}>
            Settled
          </Button>
        </p>
      )}
      <Faults faults={faults} />
    </>
  );
}
