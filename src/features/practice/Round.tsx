'use client';

import { figure } from '@/core/figure';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { headOf } from '@/words/adviceWords';
import { LEVEL_FACTS, type PracticeLevel } from '@/core/practice/levels';
import type { PracticeMove, PracticeState, PracticeTruth } from '@/core/practice/play';
import { CLOCK_LABELS } from '@/core/vocabulary';
import { Button, MainButton } from '@/ui/Button';
import { Columns } from '@/ui/Page';
import { QuantityInput } from '@/ui/fields';
import { Gate } from '@/ui/Gate';
import { useUnits } from '@/ui/person';
import { readNumber } from '@/core/readNumber';
import { Trouble } from '@/ui/Trouble';
import { Notice, SectionTitle, Small } from '@/ui/type';
import { useAsked } from '@/ui/useAsked';
import { ask } from '@/workers/client';
import { Working } from '@/ui/Working';
import { Ways } from './Ways';

const Stack = styled.div`
  display: grid;
  gap: 14px;

  container-type: inline-size;
`;

const Figures = styled.form`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 150px)) 130px;
  gap: 10px;
  align-items: end;

  @media (max-width: 640px) {
    grid-template-columns: repeat(3, minmax(0, 1fr));

    button {
      grid-column: 1 / -1;
    }
  }
`;

const Advice = styled.section`
  display: grid;
  gap: 4px;
  padding-left: 14px;
  border-left: 4px solid var(--copper);
`;

interface Entry {
  readonly dial: string;
  readonly doseG: string;
  readonly purgeG: string;
}

/** One hidden coffee: moves so far, what they gave, and in the end the truth. */
export function Round({
  level,
  seed,
  isAdvised,
  onNext,
}: {
  level: PracticeLevel;
  seed: number;
  isAdvised: boolean;
  onNext: () => void;
}) {
  const [moves, setMoves] = useState<readonly PracticeMove[]>([]);
  const [state, setState] = useState<PracticeState | null>(null);
  const [truth, setTruth] = useState<PracticeTruth | null>(null);
  const [found, setFound] = useState(0);
  const [edits, setEdits] = useState<Partial<Entry>>({});
  const { mass, say, units } = useUnits();
  const { recipe, budgetG } = LEVEL_FACTS[level];

  const { trouble, askAgain } = useAsked(JSON.stringify([level, seed, moves]), async () => {
    const round = { level, seed, moves };
    const next = await ask('practise', round);
    setState(next);
    // The truth comes after the last shot is shown.
    if (next.outcome !== 'open') setTruth(await ask('tell', round, { onProgress: setFound }));
    return next;
  });

  if (trouble && !state) return <Trouble words={trouble} onAgain={askAgain} />;
  if (!state) return <Small role="status">The coffee is being made up.</Small>;
  const { shots, advice, target, outcome, leftG } = state;
  const text = { ...entryOf(state, isAdvised), ...edits };
  const isPulling = shots.length < moves.length && trouble === null;
  const pull = (event: FormEvent) => {
    event.preventDefault();
    const [dial, doseG, purgeG] = [text.dial, text.doseG, text.purgeG].map(readNumber);
    if (typeof dial !== 'number' || typeof doseG !== 'number' || isPulling) return;
    setMoves([...moves, { dial, doseG, purgeG: typeof purgeG === 'number' ? purgeG : 0 }]);
    setEdits({});
  };
  const bind = (field: keyof Entry) => ({
    value: text[field],
    onChange: (value: string) => setEdits((before) => ({ ...before, [field]: value })),
  });
  return (
    <Stack>
      <Columns>
        <Gate
          yieldG={target.yieldG}
          yieldToleranceG={target.yieldToleranceG}
          timeS={target.timeS}
          clockWords={CLOCK_LABELS.pump}
          shots={shots.map(({ yieldG, timeS, firstDripS }, i) => ({
            number: i + 1,
            yieldG,
            timeS,
            firstDripS,
            mark: advice.marks[i]!,
          }))}
          expect={isAdvised && outcome === 'open' ? advice.expect : null}
          proof={isAdvised ? advice.proof : null}
          runningS={null}
        />
        <div>
          <p role="status">
            {mass(recipe.doseG)} → {mass(recipe.yieldG)} in {recipe.timeS[0]}-{recipe.timeS[1]} s.
            Shot {shots.length + (outcome === 'open' ? 1 : 0)}, {mass(Math.max(0, leftG), 0)} of{' '}
            {mass(budgetG, 0)} left in the bag.
          </p>
          {outcome === 'open' && (
            <>
              {isAdvised && (
                <Advice aria-label="Next move">
                  <strong>
                    {shots.length === 0
                      ? 'Pull the first shot as it stands'
                      : headOf(advice, units)}
                    {advice.purgeG > 0 && `, purge ${mass(advice.purgeG)} first`}
                  </strong>
                  {advice.reasons.map(({ code, message }) => (
                    <Small key={code}>{say(message)}</Small>
                  ))}
                </Advice>
              )}
              <Figures onSubmit={pull} noValidate aria-label="Next shot">
                <QuantityInput label="Dial" quantity="dial" step={1} large {...bind('dial')} />
                <QuantityInput label="Dose" quantity="doseG" step={0.1} large {...bind('doseG')} />
                <QuantityInput
                  label="Purge first"
                  quantity="purgeG"
                  step={0.5}
                  large
                  {...bind('purgeG')}
                />
                <MainButton type="submit" isDisabled={isPulling}>
                  Pull it
                </MainButton>
              </Figures>
              <Small>Finer is a lower dial. Enter pulls, arrows nudge.</Small>
            </>
          )}
          {outcome === 'onTarget' && (
            <Notice $kind="good">
              On target in {shots.length} shots and {mass(state.spentG, 0)}.
            </Notice>
          )}
          {outcome === 'spent' && <Notice>The bag is empty. Here is what it was.</Notice>}
          {outcome !== 'open' && (
            <p>
              <Button onPress={onNext}>Another coffee</Button>
            </p>
          )}
          {trouble && <Trouble words={trouble} onAgain={askAgain} />}
          {outcome !== 'open' && !truth && !trouble && (
            <Working words="The advice plays the same coffee" fraction={found} />
          )}
          {truth && (
            <section>
              <SectionTitle>What it was</SectionTitle>
              <p>
                The middle of the window lay at dial {figure(truth.idealDial, 1)}; one step changed
                the time by {figure(truth.stepPct, 0)} %. From your first shot the advice would have
                been {truth.advised.outcome === 'onTarget' ? 'on target' : 'out of coffee'} after{' '}
                {truth.advised.shots.length} shots and {mass(truth.advised.spentG, 0)}.
              </p>
            </section>
          )}
        </div>
      </Columns>
      <Ways yours={state} advised={truth?.advised ?? null} />
    </Stack>
  );
}

/** Prefilled as advised, or, where the advice is hidden, as the last shot was. */
function entryOf(state: PracticeState, isAdvised: boolean): Entry {
  const { advice, shots, startDial, target } = state;
  const last = shots.at(-1);
  const unadvised = { dial: last?.dial ?? startDial, doseG: last?.doseG ?? target.doseG };
  const { dial, doseG } = isAdvised ? advice.setting : unadvised;
  return {
    dial: String(dial),
    doseG: String(doseG),
    purgeG: String(isAdvised ? advice.purgeG : 0),
  };
}
