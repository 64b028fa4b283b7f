'use client';

import { Link } from '@/ui/Link';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { MainButton, QuietButton } from '@/ui/Button';
import { tickLook } from '@/ui/choices';
import { EntryForm, EntryPage } from '@/ui/EntryPage';
import { Faults } from '@/ui/Faults';
import { TextInput } from '@/ui/fields';
import { guestViewer, PersonProvider } from '@/ui/person';
import { Notice, Small } from '@/ui/type';
import { useOutbox } from '@/ui/useOutbox';
import type { TasterState } from '@/views/flight';
import { BlindAnswer } from './BlindAnswer';
import { BlindCup } from './BlindCup';
import { Cooling } from './Cooling';
import { useTaster } from './useTaster';

/** The cup sheets of a flight on a phone, without an account: one flight, and nothing else of the house. */
export function BlindTasting({ code }: { code: string }) {
  const taster = useTaster(code);
  const { shown } = taster;
  switch (shown.at) {
    case 'looking':
      return (
        <EntryPage title="Blind tasting">
          <p role="status">Looking for flight {code} …</p>
        </EntryPage>
      );
    case 'closed':
      return (
        <EntryPage title="This flight does not open">
          <p>{shown.words}</p>
          <p>
            <Link href="/flight">Enter another code</Link>
          </p>
        </EntryPage>
      );
    case 'door':
      return <Door {...taster} {...shown.door} />;
    case 'table': {
      const { tasterId, name } = shown.place;
      return (
        <PersonProvider person={guestViewer(`taster ${tasterId}`, name)}>
          <TableOfCups
            key={tasterId}
            state={shown.state}
            tasterId={tasterId}
            device={taster.device()}
            onChange={taster.look}
            onHandOn={taster.handOn}
          />
        </PersonProvider>
      );
    }
  }
}

function Door({
  house,
  placesLeft,
  isRevealed,
  join,
  faults,
  isJoining,
}: Pick<ReturnType<typeof useTaster>, 'join' | 'faults' | 'isJoining'> & {
  house: string;
  placesLeft: number;
  isRevealed: boolean;
}) {
  const [name, setName] = useState('');
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    void join(name);
  };
  const faultOfName = faults.find(({ field }) => field === 'name')?.message;
  return (
    <EntryPage title={`Blind tasting at ${house}`}>
      {isRevealed ? (
        <p>This flight was revealed already. Ask for the next one.</p>
      ) : (
        <EntryForm onSubmit={onSubmit} noValidate>
          <p>
            {placesLeft > 0
              ? `${placesLeft} ${placesLeft === 1 ? 'place is' : 'places are'} free.`
              : 'All places are taken. If yours is among them, enter your name.'}{' '}
            You score cups by a number; nobody sees your sheet before the reveal.
          </p>
          <TextInput
            label="Your name"
            value={name}
            onChange={setName}
            fault={faultOfName}
            autoComplete="given-name"
            autoFocus
          />
          <p>
            <MainButton type="submit" isPending={isJoining}>
              Take a place
            </MainButton>
          </p>
          <Faults faults={faults} shown={['name']} />
          <Small>
            Caffeine adds up: spit, and count your cups. About 400 mg a day is the usual public
            guidance for healthy adults, less in pregnancy and for some people: ask a doctor. Ask
            what milk is used if you have an allergy.
          </Small>
        </EntryForm>
      )}
    </EntryPage>
  );
}

const Stack = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-width: 560px;
  margin: 0 auto;
  padding: 12px 12px 60px;

  h1 {
    font-size: 19px;
  }
`;

const Cups = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(92px, 1fr));
`;

const CupBox = styled.label`
  display: grid;
  gap: 1px;
  place-items: center;
  min-height: 60px;
  padding: 6px 4px;
  margin: 0 -1px -1px 0;
  border: 1px solid var(--rule-strong);
  background: var(--enamel-raised);
  cursor: pointer;
  ${tickLook}

  strong {
    font-stretch: var(--wide);
    font-size: 20px;
  }

  span {
    font-size: 12.5px;
    font-stretch: var(--narrow);
  }
`;

function TableOfCups({
  state,
  tasterId,
  device,
  onChange,
  onHandOn,
}: {
  state: TasterState;
  tasterId: string;
  device: string;
  onChange: () => void;
  onHandOn: () => void;
}) {
  const [chosen, setChosen] = useState(state.cups[0]!.code);
  // What was kept on this phone counts as tasted, up or not.
  const [done, setDone] = useState<readonly string[]>([]);
  const isDone = (code: string) =>
    done.includes(code) || state.cups.some((cup) => cup.code === code && cup.moments.length > 0);
  const cup = state.cups.find(({ code }) => code === chosen) ?? state.cups[0]!;
  const onKept = () => {
    setDone([...done, cup.code]);
    const next = state.cups.find(({ code }) => code !== cup.code && !isDone(code));
    if (next) setChosen(next.code);
    onChange();
  };
  const of = { tasterId, device };
  // What waits goes up from this phone under this name: it is not handed on before.
  const { waiting } = useOutbox(`flight ${tasterId}`);
  return (
    <Stack>
      <h1>Blind tasting · {state.name}</h1>
      {state.reveal && <Reveal reveal={state.reveal} />}
      <Small id="cups">Your cups, in your own order: taste them from left to right.</Small>
      <Cups role="radiogroup" aria-labelledby="cups">
        {state.cups.map(({ code, pouredAt, moments }) => (
          <CupBox key={code}>
            <input
              type="radio"
              name="cup"
              checked={code === cup.code}
              onChange={() => setChosen(code)}
            />
            <strong>{code}</strong>
            <span>
              {isDone(code) ? `✓ ${moments.join(', ') || 'kept'}` : <Cooling pouredAt={pouredAt} />}
            </span>
          </CupBox>
        ))}
      </Cups>
      <BlindCup key={cup.code} cup={cup} state={state} of={of} onKept={onKept} />
      {state.test !== 'scored' && <BlindAnswer state={state} of={of} onAnswered={onChange} />}
      {waiting.length === 0 && (
        <p>
          <QuietButton onPress={onHandOn}>Hand this phone on</QuietButton>
        </p>
      )}
    </Stack>
  );
}

function Reveal({ reveal }: { reveal: Readonly<Record<string, string>> }) {
  return (
    <Notice $kind="good" role="status">
      <strong>Revealed.</strong>{' '}
      {Object.entries(reveal)
        .map(([code, label]) => `${code}: ${label}`)
        .join(' · ')}
      . A sheet you keep now is kept apart.
    </Notice>
  );
}
