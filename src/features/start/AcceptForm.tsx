'use client';

import { figure } from '@/core/figure';
import { useRouter } from 'next/navigation';
import { useState, type FormEvent, type ReactNode } from 'react';
import styled from 'styled-components';
import { USUAL_FIRST_DRIP_S } from '@/core/extraction/clock';
import { dialWords, type Notation } from '@/core/grinder/notation';
import type { Proposal } from '@/core/start/propose';
import type { FirstDial } from '@/core/state/firstDial';
import { CLOCK_LABELS, type BrewStyle, type TemperatureSchool } from '@/core/vocabulary';
import type { BatchView, ReleaseView } from '@/views/release';
import type { StoredSetup } from '@/data/setups';
import { MainButton, QuietButton } from '@/ui/Button';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { QuantityInput } from '@/ui/fields';
import { isTooFull, overRating } from '@/core/start/setupLimits';
import { readNumber } from '@/core/readNumber';
import { intervalWords } from '@/ui/intervalWords';
import { NotationProvider } from '@/ui/notation';
import { OverruleReason } from '@/ui/OverruleReason';
import { useMay, useUnits } from '@/ui/person';
import { Notice, readingText, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useDraft } from '@/ui/useDraft';
import { useTextForm } from '@/ui/useTextForm';
import { inputOf } from '@/ui/programme/stepText';
import { acceptSent, overruled, recipeTextOf, type RecipeText } from './recipeText';
import type { Water } from '@/views/water';
import { WaterField, waterOf } from './WaterField';

const Form = styled.form`
  display: grid;
  gap: 10px;
  padding: 4px 4px 14px;
  border: 2px solid var(--plate);
  border-radius: 5px;
  background: var(--enamel-raised);

  > :not(:first-child) {
    margin: 0 12px;
  }
`;

const Head = styled.h2`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 2px 10px;
  padding: 9px 12px 10px;
  border-radius: 2px;
  background: var(--plate);
  color: var(--plate-ink);
  font-size: 15px;

  span {
    ${readingText}
    font-size: 21px;
  }
`;

const Figures = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 9px 14px;
  align-items: start;
`;

const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
`;

const SHOWN = [
  'doseG',
  'yieldG',
  'temperatureC',
  'startDial',
  'programme',
  'why',
  'timeS.0',
  'timeS.1',
  'restDays.0',
  'restDays.1',
];

export interface AcceptFormProps {
  readonly view: ReleaseView;
  readonly batch: BatchView;
  readonly proposal: Proposal;
  readonly firstDial: FirstDial | null;
  readonly style: BrewStyle;
  readonly temperatureSchool: TemperatureSchool;
  readonly setup: StoredSetup | undefined;
  readonly water: Water;
  /** The plate, and beside it what the machine does. */
  readonly children: (parts: { plate: ReactNode; flow: ReactNode }) => ReactNode;
}

/** The proposal as figures to change or take; accepting puts it on the bench. Its plate and its programme stand apart. */
export function AcceptForm(props: AcceptFormProps) {
  const { view, batch, proposal, firstDial, style, temperatureSchool, setup, water } = props;
  const { massFigure, temperatureFigure, say } = useUnits();
  const isLead = useMay('lead');
  const router = useRouter();
  const { submit, faults, faultOf, isBusy } = useCommand();
  const proposed = recipeTextOf(proposal, startDialOf(view, setup, firstDial));
  const { text, bind, bindEnd, change, reset } = useTextForm(proposed, faultOf);
  const [flow, setFlow] = useState(() => waterOf(water.choices[0]));
  // Another question has another proposal; the switches that asked it keep the focus.
  const question = [style, temperatureSchool, setup?.id, batch.id].join(' ');
  const [answered, setAnswered] = useState(question);
  // A proposal that is learnt anew meanwhile is nothing somebody typed.
  const [begun, setBegun] = useState(proposed);
  if (answered !== question) {
    setAnswered(question);
    setBegun(proposed);
    reset();
    setFlow(waterOf(water.choices[0]));
  }
  const changed = overruled(text, proposed);
  const draft = useDraft(`recipe ${question}`, {
    value: text,
    initial: begun,
    onRestore: change,
  });
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit(
      'acceptRecipe',
      acceptSent(text, {
        releaseId: view.release.id,
        batchId: batch.id,
        setupId: setup?.id,
        style,
        temperatureSchool,
        clock: proposal.recipe.clock,
        proposed: { ...proposal.mean },
        overruled: changed,
        programme: flow.words,
        steps: inputOf(flow.steps),
        basedOn: view.bench?.draft.id ?? null,
      }),
    );
    if (!answer.ok) return;
    draft.forget();
    router.push(`/releases/${view.release.id}/pull`);
  };
  const doseG = readNumber(text.doseG);
  const { interval80 } = proposal;
  const band = (
    [low, high]: readonly [number, number],
    show: (value: number) => string = (value) => figure(value, 0),
  ) => intervalWords(show(low), show(high));
  const [shortest, longest] = interval80.ratio.map((ratio) => figure(ratio, 1));
  const ratioBand = intervalWords(`1:${shortest}`, longest!);
  const plate = (
    <Form onSubmit={onSubmit} noValidate aria-label="Proposed recipe">
      <Head>
        Proposed <span>{plateWords(text)}</span>
      </Head>
      <DraftNotice draft={draft} />
      <Figures>
        <QuantityInput
          label="Dose"
          quantity="doseG"
          step={0.1}
          hint={band(interval80.doseG, massFigure)}
          large
          {...bind('doseG')}
        />
        <QuantityInput
          label="Yield"
          quantity="yieldG"
          step={0.5}
          hint={ratioBand}
          large
          {...bind('yieldG')}
        />
        <QuantityInput
          label="Temperature"
          quantity="temperatureC"
          step={0.5}
          hint={band(interval80.temperatureC, temperatureFigure)}
          large
          {...bind('temperatureC')}
        />
        <NotationProvider of={setup?.grinder ?? {}}>
          <QuantityInput
            label="Dial to start at"
            quantity="dial"
            step={setup?.grinder.stepSize ?? 1}
            hint={
              isOnBench(view, setup)
                ? 'Where it stands on the bench'
                : grindHint(firstDial, proposal, setup?.grinder ?? {})
            }
            large
            {...bind('startDial')}
          />
        </NotationProvider>
        <QuantityInput
          label="Time from"
          quantity="timeS"
          step={1}
          hint={band(interval80.timeS)}
          large
          {...bindEnd('timeS', 0)}
        />
        <QuantityInput
          label="Time to"
          quantity="timeS"
          step={1}
          hint={`Counted ${CLOCK_LABELS[proposal.recipe.clock]}`}
          large
          {...bindEnd('timeS', 1)}
        />
        <QuantityInput
          label="Rest from"
          quantity="restDays"
          step={1}
          large
          {...bindEnd('restDays', 0)}
        />
        <QuantityInput
          label="Rest to"
          quantity="restDays"
          step={1}
          large
          {...bindEnd('restDays', 1)}
        />
      </Figures>
      {setup && typeof doseG === 'number' && isTooFull(doseG, setup.basket) && (
        <Notice>{say(overRating(doseG, setup.basket).message)}</Notice>
      )}
      {changed.length > 0 && (
        <OverruleReason
          label={`Your change of ${changed.join(', ')}; reason (optional)`}
          reasons={['Tasted it before', 'House habit', 'This setup', 'A customer’s wish']}
          value={text.why}
          onChange={(why) => change({ why })}
          fault={faultOf('why')}
        />
      )}
      <Faults faults={faults} shown={SHOWN} />
      <Actions>
        {isLead ? (
          <MainButton type="submit" isPending={isBusy}>
            Use this recipe
          </MainButton>
        ) : (
          <Small>The lead decides which recipe is used.</Small>
        )}
        {changed.length > 0 && <QuietButton onPress={reset}>Back to the proposal</QuietButton>}
        <Small>Arrow keys nudge a figure, Enter accepts.</Small>
      </Actions>
    </Form>
  );
  return props.children({
    plate,
    flow: (
      <WaterField
        water={water}
        value={flow}
        onChange={setFlow}
        style={style}
        setup={setup}
        windowS={pumpWindow(text, proposal)}
        recipe={triedRecipe(text, proposal)}
        faultOf={faultOf}
      />
    ),
  });
}

/** "18 → 40 g, 1:2.22" of what stands in the form. */
function plateWords(text: RecipeText): string {
  return `${text.doseG} → ${text.yieldG} g, ${ratioWords(text)}`;
}

function ratioWords({ doseG, yieldG }: RecipeText): string {
  const [dose, cup] = [readNumber(doseG), readNumber(yieldG)];
  return typeof dose === 'number' && typeof cup === 'number' && dose > 0
    ? `1:${figure(cup / dose, 2)}`
    : 'ratio unknown';
}

/** Why the dial begins there. */
function grindHint(
  first: FirstDial | null,
  { startDial }: Proposal,
  grinder: Notation,
): string | undefined {
  if (first?.from === 'memory')
    return first.dialIns === 1
      ? 'As one past dial-in of this grinder says'
      : `As ${first.dialIns} past dial-ins of this grinder say`;
  if (startDial === null) return first ? 'Middle of its scale: a guess' : undefined;
  const [low, high] = startDial.interval80;
  const written = (dial: number) => dialWords(grinder, Number(dial.toFixed(1)));
  return intervalWords(written(low), written(high));
}

/** Is this release dialled in on this setup already? */
const isOnBench = (
  { bench }: Pick<ReleaseView, 'bench'>,
  setup: StoredSetup | undefined,
): boolean => bench !== null && bench.setup.id === setup?.id;

/** Where the dial stands on this setup for this release, else where it is to begin. */
function startDialOf(
  { bench }: ReleaseView,
  setup: StoredSetup | undefined,
  first: FirstDial | null,
): number | undefined {
  if (bench && isOnBench({ bench }, setup))
    return bench.shots.at(-1)?.dial ?? bench.draft.startDial;
  return first?.dial;
}

/** The window as typed, on the pump's clock: a programme runs by it. */
function pumpWindow(text: RecipeText, { recipe }: Proposal): [number, number] {
  const dripS = recipe.clock === 'firstDrip' ? USUAL_FIRST_DRIP_S : 0;
  const [low, high] = [
    figureOr(text.timeS[0], recipe.timeS[0]),
    figureOr(text.timeS[1], recipe.timeS[1]),
  ];
  return [low + dripS, Math.max(low, high) + dripS];
}

/** What the simulator tries a programme with: the figures as they stand in the form. */
function triedRecipe(text: RecipeText, proposal: Proposal) {
  const { recipe } = proposal;
  const [low, high] = pumpWindow(text, proposal);
  return {
    doseG: figureOr(text.doseG, recipe.doseG),
    yieldG: figureOr(text.yieldG, recipe.yieldG),
    temperatureC: figureOr(text.temperatureC, recipe.temperatureC),
    centreS: (low + high) / 2,
  };
}

/** A figure as typed, where it is one a bench could have. */
function figureOr(text: string, fallback: number): number {
  const value = readNumber(text);
  return typeof value === 'number' && value > 0 ? value : fallback;
}
