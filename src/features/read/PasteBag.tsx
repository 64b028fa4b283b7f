'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { PacketFact, ReadPacket } from '@/core/packet/readBag';
import { Button, QuietButton } from '@/ui/Button';
import { Chip } from '@/ui/choices';
import { TextAreaInput } from '@/ui/fields';
import { labelText, SectionTitle, Small } from '@/ui/type';
import { factWords } from './pasteBag';

const Sheet = styled.section`
  display: grid;
  gap: 10px;
  padding: 12px 0 14px;
  border-top: 2px solid var(--ink);
  border-bottom: 1px solid var(--rule-strong);
`;

const Pieces = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 8px 18px;

  li {
    display: grid;
    gap: 2px;
    align-content: start;
    overflow-wrap: anywhere;
  }

  q {
    ${labelText}
  }
`;

const Left = styled.pre`
  max-height: 120px;
  overflow: auto;
  font: inherit;
  white-space: pre-wrap;
`;

/** Reads what a bag or a web page says; nothing goes into the form before the person agrees, piece by piece. */
export function PasteBag({
  onTake,
}: {
  onTake: (facts: readonly PacketFact[], left: string) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [read, setRead] = useState<ReadPacket | null>(null);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const close = () => {
    setOpen(false);
    setText('');
    setRead(null);
    setRefused([]);
  };
  const work = async () => {
    // The vocabulary is only fetched by who pastes.
    const { readPacket: readBag } = await import('@/core/packet/readBag');
    setRead(readBag(text));
    setRefused([]);
  };
  if (!isOpen)
    return (
      <p>
        <Button onPress={() => setOpen(true)}>Paste the bag</Button>{' '}
        <Small as="span">Text of a bag or a web page is read into the form below.</Small>
      </p>
    );
  const taken = read?.facts.filter(({ field }) => !refused.includes(field)) ?? [];
  const toggle = (field: string) =>
    setRefused((before) =>
      before.includes(field) ? before.filter((other) => other !== field) : [...before, field],
    );
  return (
    <Sheet aria-label="Paste the bag">
      <TextAreaInput
        label="What the bag says"
        hint="It is read on this device; nothing is sent or stored yet"
        rows={6}
        value={text}
        onChange={(next) => {
          setText(next);
          setRead(null);
        }}
      />
      {!read && (
        <p>
          <Button onPress={() => void work()} isDisabled={text.trim() === ''}>
            Read it
          </Button>{' '}
          <QuietButton onPress={close}>Cancel</QuietButton>
        </p>
      )}
      {read && (
        <>
          <SectionTitle as="h2">
            {read.facts.length === 0
              ? 'Nothing of it is known here'
              : 'Understood, and from which words'}
          </SectionTitle>
          {read.facts.length > 0 && (
            <Pieces>
              {read.facts.map((fact) => {
                const { label, value } = factWords(fact);
                return (
                  <li key={fact.field}>
                    <span>
                      <Chip
                        isSelected={!refused.includes(fact.field)}
                        onChange={() => toggle(fact.field)}
                      >
                        {label}: {value}
                      </Chip>
                    </span>
                    <q>{fact.words}</q>
                  </li>
                );
              })}
            </Pieces>
          )}
          {read.left !== '' && (
            <div>
              <Small>Not understood: goes to the notes of the house.</Small>
              <Left>{read.left}</Left>
            </div>
          )}
          <p>
            <Button
              onPress={() => {
                onTake(taken, read.left);
                close();
              }}
            >
              Take into the form
            </Button>{' '}
            <QuietButton onPress={close}>Cancel</QuietButton>
          </p>
        </>
      )}
    </Sheet>
  );
}
