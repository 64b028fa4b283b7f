'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { FlightTest } from '@/core/panel/flightTests';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { SectionTitle, Small } from '@/ui/type';
import { useOutbox } from '@/ui/useOutbox';
import type { TasterState } from '@/views/flight';

const Codes = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;

  > button {
    min-width: 74px;
    min-height: var(--target);
    font-stretch: var(--wide);
    font-size: 18px;
  }

  > button[aria-pressed='true'] {
    background: var(--ink);
    color: var(--enamel-raised);
  }
`;

const QUESTIONS: Record<FlightTest, string> = {
  paired: 'Which do you prefer? Choose one, even if it is a guess.',
  triangle: 'Two are the same. Which is the odd one? Choose one, even if it is a guess.',
  ranking: 'Put them in order: press the best first.',
  scored: '',
};

/** The one question of a flight, after the cups. */
export function BlindAnswer({
  state: { test, cups, answer, reveal },
  of,
  onAnswered,
}: {
  state: TasterState;
  of: { readonly tasterId: string; readonly device: string };
  onAnswered: () => void;
}) {
  const queue = useOutbox(`flight ${of.tasterId}`);
  const [codes, setCodes] = useState<readonly string[]>([]);
  const [sent, setSent] = useState<readonly string[] | null>(answer);
  const wanted = test === 'ranking' ? cups.length : 1;
  const press = (code: string) => {
    if (wanted === 1) return setCodes([code]);
    setCodes(codes.includes(code) ? codes.filter((one) => one !== code) : [...codes, code]);
  };
  const send = async () => {
    const given = await queue.send('answerFlight', { ...of, codes: [...codes] });
    if (given !== 'waiting' && !given.ok) return;
    setSent(codes);
    onAnswered();
  };
  if (reveal) return answer && <Small>Your answer was {answer.join(', ')}.</Small>;
  if (sent)
    return (
      <section>
        <SectionTitle>Your answer</SectionTitle>
        <p role="status" style={{ marginTop: 8 }}>
          {sent.join(', ')}.{' '}
          <QuietButton
            onPress={() => {
              setSent(null);
              setCodes([]);
            }}
          >
            Change it
          </QuietButton>
        </p>
      </section>
    );
  return (
    <section aria-label="Your answer" style={{ display: 'grid', gap: 10 }}>
      <SectionTitle>{QUESTIONS[test]}</SectionTitle>
      <Codes>
        {cups.map(({ code }) => (
          <Button key={code} onPress={() => press(code)} isPressed={codes.includes(code)}>
            {code}
            {wanted > 1 && codes.includes(code) ? ` · ${codes.indexOf(code) + 1}` : ''}
          </Button>
        ))}
      </Codes>
      <p>
        <MainButton
          onPress={() => void send()}
          isDisabled={codes.length < wanted}
          isPending={queue.isBusy}
        >
          Send my answer
        </MainButton>
      </p>
      <Faults faults={queue.faults} shown={[]} />
    </section>
  );
}
