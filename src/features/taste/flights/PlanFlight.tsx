'use client';

import { say } from '@/words/say';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type FormEvent } from 'react';
import styled from 'styled-components';
import type { Commands } from '@/core/command/inputs';
import { ARMS, FLIGHT_TEST_LABELS, FLIGHT_TESTS, type FlightTest } from '@/core/panel/flightTests';
import { powerMessage } from '@/core/panel/panel';
import { beanCautions } from '@/core/beanCautions';
import type { Notation } from '@/core/grinder/notation';
import { LIMITS } from '@/core/limits';
import { readNumber } from '@/core/readNumber';
import { massFigure, massWords } from '@/core/units';
import {
  BEAN_STATE_LABELS,
  BEAN_STATES,
  SERVING_LABELS,
  SERVINGS,
  STYLE_LABELS,
  type BeanState,
} from '@/core/vocabulary';
import { MainButton, QuietButton } from '@/ui/Button';
import { Chip, ChipRow } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { Notice, Small } from '@/ui/type';
import { NotationProvider } from '@/ui/notation';
import { useUnits } from '@/ui/person';
import { useCommand } from '@/ui/useCommand';
import type { NextCup } from '@/views/best';
import type { FlightRecipe } from '@/views/flightRecipes';
import type { Bench } from '@/views/release';
import { OpeningFields, USUAL_HOURS } from './OpeningFields';
import { armOf, fromElsewhere, readyMades, type ArmText, type ReadyMade } from './readyMade';

const Form = styled.form`
  display: grid;
  gap: 12px;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: end;

  > * {
    flex: 1 1 96px;
  }

  > :first-child {
    flex-grow: 2;
    flex-basis: 150px;
  }

  > button {
    flex: 0 0 auto;
  }
`;

const Arm = styled.div`
  display: grid;
  gap: 8px;
  padding-top: 8px;
  border-top: 1px solid var(--rule);
`;

const TEST_OPTIONS = FLIGHT_TESTS.map((value) => ({ value, label: FLIGHT_TEST_LABELS[value] }));
const SERVING_OPTIONS = SERVINGS.map((value) => ({ value, label: SERVING_LABELS[value] }));
const BEAN_OPTIONS = BEAN_STATES.map((value) => ({ value, label: BEAN_STATE_LABELS[value] }));

interface FlightText {
  readonly question: string;
  readonly test: FlightTest;
  readonly arms: readonly ArmText[];
  readonly places: string;
  readonly hours: string;
  readonly hasDuplicate: boolean;
  readonly asksLikeness: boolean;
}

/** A working day at the bench, and a small panel. */
const USUAL = {
  places: '4',
  hours: USUAL_HOURS,
  hasDuplicate: false,
  asksLikeness: false,
} as const;

/** What is compared, by which test, by how many: with what it can show said before anybody tastes. */
export function PlanFlight({
  releaseId,
  bench,
  recipes,
  next,
}: {
  releaseId: string;
  bench: Bench;
  recipes: readonly FlightRecipe[];
  next: readonly NextCup[];
}) {
  const router = useRouter();
  const { temperature } = useUnits();
  const { submit, faults, faultOf, isBusy } = useCommand({ leavesPage: true });
  const ready = readyMades(recipes, next, {
    stepSize: bench.setup.grinder.stepSize,
    canSetTemperature: bench.setup.machine.settableTemperature,
  });
  const [text, setText] = useState<FlightText>(() => ({ ...USUAL, ...madeOf(ready[0]!) }));
  const change = (part: Partial<FlightText>) => setText({ ...text, ...part });
  const setArm = (at: number, part: Partial<ArmText>) =>
    change({ arms: text.arms.map((arm, i) => (i === at ? { ...arm, ...part } : arm)) });
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('planFlight', {
      releaseId,
      test: text.test,
      question: text.question,
      arms: text.arms.map((arm) => sentOf(arm, recipes)),
      places: readNumber(text.places),
      hours: readNumber(text.hours),
      hasDuplicate: text.hasDuplicate,
      asksLikeness: text.asksLikeness,
    });
    if (answer.ok) router.push(`/releases/${releaseId}/flights/${answer.result.flightId}`);
  };
  const recipeOptions = [
    ...recipes.map((recipe) => ({
      value: recipe.draftId,
      label: recipeWords(recipe, temperature),
    })),
    { value: '', label: 'from elsewhere' },
  ];
  const { most } = ARMS[text.test];
  const canRepeat = text.test === 'ranking' || text.test === 'scored';
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Plan a blind flight">
      <ChipRow role="group" aria-label="Ready-made flights">
        {ready.map((one) => (
          <Chip
            key={one.name}
            isSelected={text.question === one.name}
            onChange={() => change(madeOf(one))}
          >
            {one.name}
          </Chip>
        ))}
      </ChipRow>
      <Row>
        <TextInput
          label="What is asked"
          value={text.question}
          onChange={(question) => change({ question })}
          fault={faultOf('question')}
        />
        <SelectInput
          label="Test"
          value={text.test}
          onChange={(test) => change({ test: test as FlightTest })}
          options={TEST_OPTIONS}
        />
        <OpeningFields opening={text} onChange={change} faultOf={faultOf} />
      </Row>
      <Power test={text.test} places={text.places} arms={text.arms.length} />
      {text.arms.map((arm, i) => (
        <ArmRow
          key={i}
          arm={arm}
          at={i}
          onChange={(part) => setArm(i, part)}
          onRecipe={(draftId) => {
            const recipe = recipes.find((one) => one.draftId === draftId);
            setArm(i, recipe ? armOf(recipe, arm.label) : { ...fromElsewhere, label: arm.label });
          }}
          onRemove={
            text.arms.length > ARMS[text.test].least
              ? () => change({ arms: text.arms.filter((_, j) => j !== i) })
              : undefined
          }
          recipeOptions={recipeOptions}
          notation={recipes.find((one) => one.draftId === arm.draftId)?.notation ?? {}}
          faultOf={faultOf}
        />
      ))}
      {beanCautions(text.arms.map(({ beans }) => beans)).map((message) => (
        <Notice key={message.id}>{say(message)}</Notice>
      ))}
      {text.arms.length < most && (
        <p>
          <QuietButton
            onPress={() =>
              change({ arms: [...text.arms, armOf(recipes[0]!, `Cup ${text.arms.length + 1}`)] })
            }
          >
            One more cup
          </QuietButton>
        </p>
      )}
      <ChipRow>
        {canRepeat && (
          <Chip
            isSelected={text.hasDuplicate}
            onChange={(hasDuplicate) => change({ hasDuplicate })}
          >
            the first cup twice, unsaid: how far tasters repeat themselves
          </Chip>
        )}
        <Chip isSelected={text.asksLikeness} onChange={(asksLikeness) => change({ asksLikeness })}>
          staged cups stand beside it
        </Chip>
      </ChipRow>
      {text.hasDuplicate && canRepeat && next.length > 0 && (
        <Small>A trial finds its best recipe sooner without a hidden duplicate.</Small>
      )}
      <p>
        <MainButton type="submit" isPending={isBusy}>
          Give out codes
        </MainButton>
      </p>
      <Faults faults={faults} shown={SHOWN} />
      <Small>
        Ask who has an allergy before milk is served: milk, nut and soy are allergens; local
        food-labelling law decides.
      </Small>
    </Form>
  );
}

const SHOWN = [
  'question',
  'places',
  'hours',
  ...Array.from({ length: ARMS.scored.most }, (_, i) =>
    ['label', 'pull.doseG', 'pull.yieldG', 'pull.temperatureC', 'pull.dial'].map(
      (field) => `arms.${i}.${field}`,
    ),
  ).flat(),
];

const madeOf = ({ name, test, arms }: ReadyMade) => ({ question: name, test, arms });

function recipeWords(
  { revision, style, isOnBench, pull }: FlightRecipe,
  temperature: (c: number) => string,
): string {
  const figures = `${massFigure(pull.doseG)} → ${massWords(pull.yieldG)}, ${temperature(pull.temperatureC)}`;
  const name = isOnBench ? 'on the bench' : `${STYLE_LABELS[style]}, revision ${revision}`;
  return `${name}: ${figures}`;
}

/** Figures as typed where they cannot be read: the server refuses them with its words. */
function sentOf(
  arm: ArmText,
  recipes: readonly FlightRecipe[],
): Commands['planFlight']['asks']['arms'][number] {
  const { label, serving, draftId, doseG, yieldG, temperatureC, dial, timeS, beans } = arm;
  const { levels, purged = true } = arm;
  const recipe = recipes.find((one) => one.draftId === draftId);
  const named = { label, serving, ...(levels && { levels }) };
  if (!recipe) return named;
  return {
    ...named,
    pull: {
      draftId,
      doseG: readNumber(doseG),
      yieldG: readNumber(yieldG),
      temperatureC: readNumber(temperatureC),
      dial: readNumber(dial),
      timeS,
      clock: recipe.pull.clock,
      beans,
      purged,
    },
  };
}

/** How little a small flight can show, said beforehand. */
function Power({ test, places, arms }: { test: FlightTest; places: string; arms: number }) {
  const tasters = readNumber(places);
  const words = useMemo(
    () =>
      typeof tasters === 'number' &&
      Number.isInteger(tasters) &&
      tasters >= LIMITS.places.min &&
      tasters <= LIMITS.places.max
        ? test === 'scored'
          ? 'Each cup is scored alone; the likings teach the best recipe of this coffee.'
          : say(powerMessage(test, tasters, Math.max(3, arms)))
        : null,
    [test, tasters, arms],
  );
  return words && <Small as="p">{words}</Small>;
}

function ArmRow({
  arm,
  at,
  onChange,
  onRecipe,
  onRemove,
  recipeOptions,
  notation,
  faultOf,
}: {
  arm: ArmText;
  at: number;
  onChange: (part: Partial<ArmText>) => void;
  onRecipe: (draftId: string) => void;
  onRemove: (() => void) | undefined;
  recipeOptions: readonly { value: string; label: string }[];
  /** Of the grinder this cup is ground on. */
  notation: Notation;
  faultOf: (field: string) => string | undefined;
}) {
  const name = `arms.${at}`;
  const quantities = [
    { field: 'doseG', label: 'Dose', step: 0.1 },
    { field: 'yieldG', label: 'Yield', step: 0.5 },
    { field: 'temperatureC', label: 'Temperature', step: 0.5 },
    { field: 'dial', label: 'Dial', step: 1 },
  ] as const;
  return (
    <Arm role="group" aria-label={`Cup ${at + 1}`}>
      <Row>
        <TextInput
          label={`Cup ${at + 1} is`}
          value={arm.label}
          onChange={(label) => onChange({ label })}
          fault={faultOf(`${name}.label`)}
        />
        <SelectInput
          label="Recipe"
          value={arm.draftId}
          onChange={onRecipe}
          options={recipeOptions}
        />
        <SelectInput
          label="Served"
          value={arm.serving}
          onChange={(serving) => onChange({ serving: serving as ArmText['serving'] })}
          options={SERVING_OPTIONS}
        />
        {onRemove && <QuietButton onPress={onRemove}>Leave out</QuietButton>}
      </Row>
      {arm.draftId !== '' && (
        <NotationProvider of={notation}>
          <Row>
            <SelectInput
              label="Beans"
              value={arm.beans}
              onChange={(beans) => onChange({ beans: beans as BeanState })}
              options={BEAN_OPTIONS}
            />
            {quantities.map(({ field, label, step }) => (
              <QuantityInput
                key={field}
                label={label}
                quantity={field}
                step={step}
                value={arm[field]}
                onChange={(value) => onChange({ [field]: value })}
                fault={faultOf(`${name}.pull.${field}`)}
              />
            ))}
          </Row>
        </NotationProvider>
      )}
    </Arm>
  );
}
