'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import styled from 'styled-components';
import type { StoredSetup } from '@/data/setups';
import { Button, QuietButton } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { SectionTitle, StageTitle } from '@/ui/type';
import { SetupForm } from './SetupForm';
import { NEW_SETUP, setupTextOf } from './setupText';

const Setup = styled.section`
  display: grid;
  gap: 6px;
  justify-items: start;

  h2 {
    justify-self: stretch;
  }
`;

/** Every setup of the house, to read and to change. */
export function BenchPage({ setups }: { setups: readonly StoredSetup[] }) {
  const router = useRouter();
  const [open, setOpen] = useState<string | null>(setups.length === 0 ? 'new' : null);
  const close = () => {
    setOpen(null);
    if (setups.length === 0) router.push('/');
  };
  const editor = (setup: StoredSetup | null) => (
    <SetupForm
      initial={setup ? setupTextOf(setup) : NEW_SETUP}
      {...(setup && { existing: { setupId: setup.id, rowVersion: setup.rowVersion } })}
      submitLabel={setup ? 'Save the setup' : 'Add the setup'}
      onDone={close}
    >
      {setups.length > 0 && <QuietButton onPress={close}>Leave it as it was</QuietButton>}
    </SetupForm>
  );
  return (
    <Page>
      <StageTitle as="h1">The bench</StageTitle>
      <p>
        Machine, grinder and basket that stand together. Proposal and advice keep to what a setup
        can do.
      </p>
      {setups.map((setup) => (
        <Setup key={setup.id}>
          <SectionTitle as="h2">{setup.name}</SectionTitle>
          {open === setup.id ? (
            editor(setup)
          ) : (
            <>
              <p>{setupWords(setup)}</p>
              <Button onPress={() => setOpen(setup.id)}>Change</Button>
            </>
          )}
        </Setup>
      ))}
      {open === 'new' ? (
        <section>
          <SectionTitle as="h2">A new setup</SectionTitle>
          {editor(null)}
        </section>
      ) : (
        <p>
          <Button onPress={() => setOpen('new')}>Add a setup</Button>
        </p>
      )}
    </Page>
  );
}

function setupWords({ machine, grinder, basket }: StoredSetup): string {
  const temperature = machine.settableTemperature
    ? 'temperature can be set'
    : `stands at ${machine.fixedTemperatureC} °C`;
  const water = machine.pressureControl ? 'programmes pressure or flow' : 'pump pressure only';
  return (
    `${machine.name}: ${temperature}, ${water}. ` +
    `${grinder.name}: dial ${grinder.min} to ${grinder.max} in steps of ${grinder.stepSize}, ${grinder.finerIs} is finer, keeps ${grinder.retentionG} g. ` +
    `${basket.name}: ${basket.diameterMm} mm, rated ${basket.ratedG} g.`
  );
}
