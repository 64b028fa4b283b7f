'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { CAFE_CHECK } from '@/core/entity/cafeCheck';
import { cafeWords } from '@/words/cafeWords';
import { LOCALES } from '@/words/figures';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { sentOf, textOf } from '@/ui/entryText';
import { EntryPage } from '@/ui/EntryPage';
import { Faults } from '@/ui/Faults';
import { TextAreaInput } from '@/ui/fields';
import { NotationProvider } from '@/ui/notation';
import { discard, tryAgain } from '@/ui/outbox';
import { guestViewer, PersonProvider } from '@/ui/person';
import { Notice, Small } from '@/ui/type';
import { useDraft } from '@/ui/useDraft';
import { useOutbox } from '@/ui/useOutbox';
import type { CheckSheet, SheetCoffee } from '@/views/checkSheet';
import { CoffeeCheck, type CoffeeText } from './CoffeeCheck';
import { useSheet } from './useSheet';

const Stack = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  max-width: 620px;
  margin: 0 auto;
  padding: 12px 14px 90px;

  h1 {
    font-size: 22px;
  }
`;

const Foot = styled.div`
  position: sticky;
  bottom: 0;
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 10px 2px;
  margin: 0 -2px;
  border-top: 1px solid var(--rule-strong);
  background: var(--enamel);

  button {
    min-height: 48px;
  }
`;

/** The check sheet of one café on its phone: its own coffees, and nothing else of the house. */
export function CheckSheetPage({ secret }: { secret: string }) {
  const { shown, look } = useSheet(secret);
  if (shown.at === 'looking')
    return (
      <EntryPage title="Check">
        <p role="status">…</p>
      </EntryPage>
    );
  if (shown.at === 'closed')
    return (
      <EntryPage title="Check">
        <p>{shown.words}</p>
      </EntryPage>
    );
  const { sheet, isAway } = shown;
  return (
    <PersonProvider person={guestViewer(`café ${secret}`, sheet.cafe.name)}>
      <NotationProvider of={sheet.cafe}>
        <Sheet secret={secret} sheet={sheet} isAway={isAway} onSent={look} />
      </NotationProvider>
    </PersonProvider>
  );
}

type SheetText = Readonly<Record<string, CoffeeText>>;

function emptyOf({ target, lastDial, lastRoastDate }: SheetCoffee): CoffeeText {
  return {
    check: textOf(CAFE_CHECK, {
      doseG: target.doseG,
      yieldG: target.yieldG,
      ...(lastDial !== null && { dial: lastDial }),
    }),
    roastDate: lastRoastDate ?? '',
  };
}

function Sheet({
  secret,
  sheet,
  isAway,
  onSent,
}: {
  secret: string;
  sheet: CheckSheet;
  isAway: boolean;
  onSent: () => Promise<void>;
}) {
  const { cafe, coffees, house } = sheet;
  const say = cafeWords(cafe.language);
  const queue = useOutbox(`checks ${secret}`);
  const initial = Object.fromEntries(coffees.map((coffee) => [coffee.releaseId, emptyOf(coffee)]));
  const [typed, setTyped] = useState<SheetText>({});
  const [help, setHelp] = useState<string | null>(null);
  const [told, setTold] = useState<'sent' | 'datedHere' | null>(null);
  const draft = useDraft(`checks`, { value: typed, initial: {} as SheetText, onRestore: setTyped });
  const textOfCoffee = (releaseId: string) => typed[releaseId] ?? initial[releaseId]!;
  const filled = coffees.filter(({ releaseId }) => textOfCoffee(releaseId).check.timeS !== '');
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    setTold(null);
    const answer = await queue.send('sendChecks', {
      secret,
      at: new Date().toISOString(),
      checks: filled.map(({ releaseId }) => {
        const { check, roastDate } = textOfCoffee(releaseId);
        return {
          releaseId,
          ...(roastDate !== '' && { roastDate }),
          check: sentOf(CAFE_CHECK, check),
        };
      }),
      help: help ?? '',
    });
    if (answer !== 'waiting' && !answer.ok) return;
    draft.forget();
    setTyped({});
    setHelp(null);
    if (answer === 'waiting') return;
    setTold('isDatedHere' in answer.result && answer.result.isDatedHere ? 'datedHere' : 'sent');
    await onSent();
  };
  const faultOf = (i: number, field: string) =>
    queue.faults.find(
      (fault) => fault.field.startsWith(`checks.${i}.`) && fault.field.endsWith(field),
    )?.message;
  const waiting = queue.waiting.filter(({ faults }) => !faults).length;
  return (
    <Stack lang={LOCALES[cafe.language]}>
      <header>
        <h1>
          {say('title')}: {cafe.name}
        </h1>
        <Small>{house}</Small>
      </header>
      {isAway && <Notice>{say('away')}</Notice>}
      {sheet.isRoundAsked && <Notice>{say('round')}</Notice>}
      {queue.trouble !== null && waiting > 0 && (
        <Notice role="status">
          {waiting}: {say('waits')}
        </Notice>
      )}
      {told !== null && (
        <Notice role="status" $kind={told === 'sent' ? 'good' : 'caution'}>
          {told === 'sent' ? say('sent') : say('clock')}
        </Notice>
      )}
      {queue.waiting
        .filter(({ faults }) => faults)
        .map((entry) => (
          <Notice key={entry.id} $kind="fault">
            {entry.faults!.map(({ message }) => message).join(' ')}{' '}
            <Button onPress={() => void tryAgain(entry.id)}>{say('send')}</Button>{' '}
            <QuietButton onPress={() => void discard(entry.id)}>{say('drop')}</QuietButton>
          </Notice>
        ))}
      <form onSubmit={onSubmit} noValidate>
        {coffees.length === 0 && <p>{say('nothing')}</p>}
        {coffees.map((coffee) => (
          <CoffeeCheck
            key={coffee.releaseId}
            cafe={cafe}
            coffee={coffee}
            text={textOfCoffee(coffee.releaseId)}
            onChange={(part) =>
              setTyped((before) => ({
                ...before,
                [coffee.releaseId]: {
                  ...(before[coffee.releaseId] ?? initial[coffee.releaseId]!),
                  ...part,
                },
              }))
            }
            faultOf={(field) => faultOf(filled.indexOf(coffee), field)}
          />
        ))}
        {help !== null && (
          <TextAreaInput label={say('helpNote')} rows={3} value={help} onChange={setHelp} />
        )}
        <Faults faults={queue.faults} shown={[]} />
        <Foot>
          <MainButton type="submit" isPending={queue.isBusy}>
            {help === null ? say('send') : say('askHelp')}
          </MainButton>
          {help === null && <QuietButton onPress={() => setHelp('')}>{say('help')}</QuietButton>}
        </Foot>
      </form>
    </Stack>
  );
}
