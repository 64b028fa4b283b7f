'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { Programme } from '@/core/programme/step';
import { programmeWords, shortProgrammeWords } from '@/core/programme/words';
import type { BrewStyle } from '@/core/vocabulary';
import type { StoredSetup } from '@/data/setups';
import { Button } from '@/ui/Button';
import { SelectInput, TextInput } from '@/ui/fields';
import { LazyWriteProgramme } from '@/ui/programme/LazyWriteProgramme';
import { useMay } from '@/ui/person';
import { ProgrammeCurve } from '@/ui/programme/ProgrammeCurve';
import { ReachNotice } from '@/ui/programme/ReachNotice';
import { drawnOf, inputOf, textOf, type ProgrammeText } from '@/ui/programme/stepText';
import type { TryWith } from '@/ui/programme/WriteProgramme';
import { Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import type { Water } from '@/views/water';

const Box = styled.div`
  container-type: inline-size;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  padding: 10px 0 0;
  border-top: 1px solid var(--rule);
`;

const Head = styled.div`
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px 14px;
  align-items: end;

  @container (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
`;

export interface WaterValue {
  readonly words: string;
  readonly steps: ProgrammeText;
}

export const waterOf = ({ words, steps }: { words: string; steps: Programme }): WaterValue => ({
  words,
  steps: textOf(steps),
});

const isSame = (one: ProgrammeText, other: ProgrammeText) =>
  JSON.stringify(one) === JSON.stringify(other);

/** What the machine does: a programme taken as it is, or its steps changed for this coffee. */
export function WaterField({
  water,
  value,
  onChange,
  style,
  setup,
  windowS,
  recipe,
  faultOf,
}: {
  water: Water;
  value: WaterValue;
  onChange: (value: WaterValue) => void;
  style: BrewStyle;
  setup: StoredSetup | undefined;
  /** From the pump. */
  windowS: readonly [number, number];
  recipe: TryWith['recipe'];
  faultOf: (field: string) => string | undefined;
}) {
  const [isOpen, setOpen] = useState(false);
  const isLead = useMay('lead');
  const { words, steps } = value;
  const programme = drawnOf(steps);
  const chosen = water.choices.find((choice) => isSame(textOf(choice.steps), steps));
  /** Words nobody typed follow the steps. */
  const take = (next: ProgrammeText, named?: string) => {
    const isTheirs =
      words !== shortProgrammeWords(programme) &&
      !water.choices.some((choice) => choice.words === words);
    const followed = isTheirs ? words : shortProgrammeWords(drawnOf(next));
    onChange({ steps: next, words: named ?? followed });
  };
  const onChoose = (id: string) => {
    const choice = water.choices.find((one) => one.id === id);
    if (choice) take(textOf(choice.steps), choice.words);
  };
  const { basket = { diameterMm: 58, ratedG: 18 } } = setup ?? {};
  return (
    <Box role="group" aria-label="Programme of the machine">
      <Head>
        <ProgrammeCurve programme={programme} size="small" />
        <SelectInput
          label="Programme"
          value={chosen?.id ?? 'own'}
          onChange={onChoose}
          options={[
            ...water.choices.map(({ id, label }) => ({ value: id, label })),
            ...(chosen ? [] : [{ value: 'own', label: 'Own steps' }]),
          ]}
        />
        <TextInput
          label="Water, as the plate says it"
          value={words}
          onChange={(next) => onChange({ steps, words: next })}
          fault={faultOf('programme')}
        />
        <Button onPress={() => setOpen(!isOpen)} aria-expanded={isOpen}>
          {isOpen ? 'Done with the steps' : 'Change the steps'}
        </Button>
      </Head>
      {!isOpen && programme.length > 1 && <Small>{programmeWords(programme)}.</Small>}
      <ReachNotice
        programme={programme}
        machine={setup?.machine}
        // Words of the programme that was out of reach would be untrue of this one.
        onTake={(nearest) => take(textOf(nearest), shortProgrammeWords(nearest))}
      />
      {isOpen && (
        <>
          <LazyWriteProgramme
            text={steps}
            onChange={(next) => take(next)}
            windowS={windowS}
            faultOf={faultOf}
            tryWith={{
              coffee: water.coffee,
              basket: { diameterMm: basket.diameterMm, ratedG: basket.ratedG },
              recipe,
            }}
          />
          {!chosen && isLead && <KeepIt words={words} steps={steps} style={style} />}
        </>
      )}
    </Box>
  );
}

/** Steps worth using again become a programme of the house, under the words they have here. */
function KeepIt({ words, steps, style }: WaterValue & { style: BrewStyle }) {
  const { submit, faults, isBusy } = useCommand();
  const [kept, setKept] = useState('');
  const keep = async () => {
    const answer = await submit('saveProgramme', { name: words, style, steps: inputOf(steps) });
    if (answer.ok) setKept(words);
  };
  return (
    <p>
      <Button onPress={() => void keep()} isPending={isBusy}>
        Keep it for other coffees
      </Button>{' '}
      <Small role="status">
        {kept ? `Kept as “${kept}”.` : faults.map(({ message }) => message).join(' ')}
      </Small>
    </p>
  );
}
