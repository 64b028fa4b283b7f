'use client';

import { useRouter } from 'next/navigation';
import type { FormEvent } from 'react';
import styled from 'styled-components';
import type { LimitName } from '@/core/limits';
import type { Proposal } from '@/core/start/propose';
import type { BrewStyle, TemperatureSchool } from '@/core/vocabulary';
import type { ReleaseView } from '@/data/releaseView';
import type { StoredSetup } from '@/data/setups';
import { MainButton, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { QuantityInput, readNumber, TextInput } from '@/ui/fields';
import { Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { acceptInputOf, overruled, textOf, useRecipeText, type RecipeText } from './useStart';

const Form = styled.form`
  display: grid;
  gap: 12px;
  padding: 14px 0 16px;
  border-top: 2px solid var(--ink);
  border-bottom: 1px solid var(--rule-strong);
`;

const Figures = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px 14px;
  align-items: start;

  @media (max-width: 640px) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
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
];

export interface AcceptFormProps {
  readonly view: ReleaseView;
  readonly proposal: Proposal;
  readonly style: BrewStyle;
  readonly temperatureSchool: TemperatureSchool;
  readonly setup: StoredSetup | undefined;
}

/** The proposal as figures to change or take; accepting puts it on the bench. */
export function AcceptForm({ view, proposal, style, temperatureSchool, setup }: AcceptFormProps) {
  const router = useRouter();
  const { submit, faults, faultOf, isBusy } = useCommand();
  const proposed = textOf(proposal, startDialOf(view, setup));
  const { text, set, reset } = useRecipeText(proposed);
  const changed = overruled(text, proposed);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit(
      'acceptRecipe',
      acceptInputOf(text, {
        releaseId: view.release.id,
        batchId: view.batch.id,
        setupId: setup?.id,
        style,
        temperatureSchool,
        clock: proposal.recipe.clock,
        mean: proposal.mean,
      }),
    );
    if (answer.ok) router.push(`/releases/${view.release.id}/pull`);
  };
  const figure = (
    field: keyof RecipeText,
    label: string,
    quantity: LimitName,
    step: number,
    hint?: string,
    faultName: string = field,
  ) => (
    <QuantityInput
      label={label}
      quantity={quantity}
      step={step}
      value={text[field]}
      onChange={set(field)}
      fault={faultOf(faultName)}
      hint={hint}
      large
    />
  );
  const { interval80 } = proposal;
  const band = ([low, high]: readonly [number, number], digits: number) =>
    `80 %: ${low.toFixed(digits)}-${high.toFixed(digits)}`;
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Proposed recipe">
      <Figures>
        {figure('doseG', 'Dose', 'doseG', 0.1, band(interval80.doseG, 1))}
        {figure(
          'yieldG',
          'Yield',
          'yieldG',
          0.5,
          `${ratioWords(text)}; 80 %: 1:${interval80.ratio[0].toFixed(1)}-${interval80.ratio[1].toFixed(1)}`,
        )}
        {figure(
          'temperatureC',
          'Temperature',
          'temperatureC',
          0.5,
          band(interval80.temperatureC, 1),
        )}
        {figure(
          'startDial',
          'Dial to start at',
          'dial',
          setup?.grinder.stepSize ?? 1,
          grindHint(proposal.grindSteps),
        )}
        {figure('timeLowS', 'Time from', 'timeS', 1, band(interval80.timeS, 0), 'timeS.0')}
        {figure('timeHighS', 'Time to', 'timeS', 1, 'Counted from the pump', 'timeS.1')}
        {figure('restFrom', 'Rest from', 'restDays', 1, undefined, 'restDays.0')}
        {figure('restTo', 'Rest to', 'restDays', 1, undefined, 'restDays.1')}
      </Figures>
      <TextInput
        label="Water"
        value={text.programme}
        onChange={set('programme')}
        fault={faultOf('programme')}
      />
      {changed.length > 0 && (
        <TextInput
          label="Why you overrule the proposal (kept with the recipe, optional)"
          value={text.why}
          onChange={set('why')}
          fault={faultOf('why')}
        />
      )}
      <Faults faults={faults} shown={SHOWN} />
      <Actions>
        <MainButton type="submit" isDisabled={isBusy}>
          Put it on the bench
        </MainButton>
        {changed.length > 0 && <QuietButton onPress={reset}>Back to the proposal</QuietButton>}
        <Small>Arrow keys nudge a figure, Enter accepts.</Small>
      </Actions>
    </Form>
  );
}

function ratioWords({ doseG, yieldG }: RecipeText): string {
  const [dose, cup] = [readNumber(doseG), readNumber(yieldG)];
  return typeof dose === 'number' && typeof cup === 'number' && dose > 0
    ? `1:${(cup / dose).toFixed(2)}`
    : 'Ratio unknown';
}

function grindHint(steps: number): string {
  if (Math.abs(steps) < 0.5) return 'About your reference coffee’s setting';
  const size = Math.abs(steps) === 1 ? '1 step' : `${Math.abs(steps)} steps`;
  return `About ${size} ${steps > 0 ? 'finer' : 'coarser'} than your reference coffee`;
}

/** Where the dial stands on this setup for this release, else the middle of its range. */
function startDialOf({ bench }: ReleaseView, setup: StoredSetup | undefined): string {
  if (bench && bench.setup.id === setup?.id)
    return String(bench.shots.at(-1)?.dial ?? bench.draft.startDial);
  return setup ? String((setup.grinder.min + setup.grinder.max) / 2) : '';
}
