'use client';

import { useUnits } from '@/ui/person';
import { Link } from '@/ui/Link';
import { figure } from '@/core/figure';
import { useState } from 'react';
import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { RELEASE } from '@/core/entity/release';
import { PROPOSED_VARIABLES, type ProposedVariable } from '@/core/start/proposedVariables';
import {
  STYLE_LABELS,
  STYLES,
  TEMPERATURE_SCHOOL_LABELS,
  TEMPERATURE_SCHOOLS,
} from '@/core/vocabulary';
import type { ReleaseView } from '@/views/release';
import { Choice } from '@/ui/choices';
import { SelectInput } from '@/ui/fields';
import { Notice, SectionTitle, Small, StageTitle } from '@/ui/type';
import { AcceptForm } from './AcceptForm';
import { ComingFrom } from './ComingFrom';
import { Comparison } from './Comparison';
import { PastRecipes } from './Evidence';
import { OpenRecipes } from './OpenRecipes';
import { Pushes } from './Contributions';
import type { StartView } from '@/views/start';
import { useQuestion } from '@/ui/useQuestion';
import { VARIABLES } from './variables';
import { WhatIf } from './WhatIf';

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
`;

/** The decision stands at the right, in sight; what it rests on is read beside it. */
const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 362px;
  gap: 22px;
  align-items: start;

  > :first-child {
    grid-column: 2;
    grid-row: 1;
    position: sticky;
    top: 12px;
  }

  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);

    > :first-child {
      grid-column: 1;
      position: static;
    }
  }
`;

const Switches = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 16px;

  > :first-child {
    grid-column: 1 / -1;
  }

  @media (max-width: 640px) {
    grid-template-columns: 1fr;
  }
`;

const STYLE_OPTIONS = STYLES.map((value) => ({ value, label: STYLE_LABELS[value] }));

/** Where to begin with this coffee: the proposal, why, and what else was asked about it. */
export function StartStage({ view, start }: { view: ReleaseView; start: StartView }) {
  const { say } = useUnits();
  const { choose, isChoosing } = useQuestion();
  const [open, setOpen] = useState<ProposedVariable>('ratio');
  const { asked, proposal, setup, setups, batch, beside, comingFrom } = start;
  const { style, temperatureSchool } = asked;
  return (
    <AcceptForm
      view={view}
      batch={batch}
      proposal={proposal}
      firstDial={start.firstDial}
      style={style}
      temperatureSchool={temperatureSchool}
      setup={setup}
      water={start.water}
    >
      {({ plate, flow }) => (
        <Beside>
          {plate}
          <Stack aria-busy={isChoosing}>
            <StageTitle>Where to begin</StageTitle>
            <Switches>
              <Choice
                label="Brew style"
                value={style}
                onChange={(value) => choose({ style: value })}
                options={STYLE_OPTIONS}
              />
              <SelectInput
                label="Temperature school"
                value={temperatureSchool}
                onChange={(value) => choose({ school: value })}
                options={TEMPERATURE_SCHOOLS.map((value) => ({
                  value,
                  label: TEMPERATURE_SCHOOL_LABELS[value],
                }))}
              />
              <SelectInput
                label="Setup"
                value={setup?.id ?? ''}
                onChange={(value) => choose({ setup: value })}
                options={setups.map(({ id, name }) => ({ value: id, label: name }))}
              />
              {view.batches.length > 1 && (
                <SelectInput
                  label="Batch"
                  value={batch.id}
                  onChange={(value) => choose({ batch: value })}
                  options={view.batches.map(({ id, roastDate, label, rest }) => ({
                    value: id,
                    label: `Roasted ${dayWords(roastDate)}${label && ` (${label})`}, day ${rest.restDays}`,
                  }))}
                />
              )}
              <SelectInput
                label="Set beside it"
                value={asked.beside ?? ''}
                onChange={(value) => choose({ beside: value })}
                options={[
                  { value: '', label: 'no other style' },
                  ...STYLE_OPTIONS.filter(({ value }) => value !== style),
                ]}
              />
            </Switches>
            <Small>
              A first cup is expected within about {figure(start.firstCup.points, 1)} points of
              liking of the best this coffee can give
              {behindWords(start.firstCup)}. Rule of thumb; Taste finds the rest.
            </Small>
            {setups.length === 0 && (
              <Notice>
                No setup is described yet: the proposal assumes an 18 g basket and cannot go on a
                bench. <Link href="/equipment">Describe machine, grinder and basket</Link>.
              </Notice>
            )}
            {proposal.warnings.map(({ code, message }) => (
              <Notice key={code}>{say(message)}</Notice>
            ))}
            {asked.beside && beside && (
              <section>
                <SectionTitle>
                  {STYLE_LABELS[style]} beside {STYLE_LABELS[asked.beside].toLowerCase()}
                </SectionTitle>
                <Comparison
                  label="Two styles side by side"
                  heads={[STYLE_LABELS[style], STYLE_LABELS[asked.beside]]}
                  one={proposal}
                  other={beside}
                />
                {beside.warnings
                  .filter(({ code }) => !proposal.warnings.some((said) => said.code === code))
                  .map(({ code, message }) => (
                    <Notice key={code}>{say(message)}</Notice>
                  ))}
              </section>
            )}
            {flow}
            {view.release.suggestedRecipe !== '' && (
              <section>
                <SectionTitle>{RELEASE.suggestedRecipe.label}</SectionTitle>
                <p style={{ whiteSpace: 'pre-wrap' }}>{view.release.suggestedRecipe}</p>
                <Small>
                  Kept beside the proposal for comparison. To follow it changes figures like any
                  other wish of yours; it is not an overruling by itself.
                </Small>
              </section>
            )}
            <OpenRecipes releaseId={view.release.id} open={start.open} />
            <ComingFrom
              others={start.others}
              from={asked.from}
              compared={comingFrom}
              onChoose={(from) => choose({ from })}
            />
            <section>
              <SectionTitle>Why these figures</SectionTitle>
              <p>
                <Small>
                  {basisWords(start)} Each row pushes the figure from where the row above left it;
                  rows sum to the proposal.
                </Small>
              </p>
            </section>
            <Choice
              label="What moved this figure"
              value={open}
              onChange={setOpen}
              options={PROPOSED_VARIABLES.map((value) => ({
                value,
                label: VARIABLES[value].short,
              }))}
            />
            <Pushes name={open} proposal={proposal} />
            <PastRecipes name={open} rows={start.evidence[open]} nearest={start.nearest} />
            <WhatIf
              suppose={asked.suppose}
              proposal={proposal}
              whatIf={start.whatIf}
              onSuppose={choose}
            />
          </Stack>
        </Beside>
      )}
    </AcceptForm>
  );
}

/** What stands behind the figures, and how far the bands can be trusted. */
function basisWords({ proposal: { releases, rulesOnly }, halfLife }: StartView): string {
  const count = releases === 1 ? 'one release' : `${releases} releases`;
  if (rulesOnly)
    return `Rules only: ${releases === 0 ? 'no release' : count} of your own ${releases > 1 ? 'stand' : 'stands'} behind this, fewer than five, so the bands (8 in 10) are honest only as far as the trade’s rules are. Rule of thumb.`;
  const fading = halfLife === undefined ? '' : `, older ones less (half after ${halfLife} more)`;
  return `The trade’s rules, moved by ${count} of your own${fading}. How far to trust the rules is weighed by how well they foretold those.`;
}

/** How many recipes and cups stand behind ratio, temperature and time. */
function behindWords({ releases, cups, coffees }: StartView['firstCup']): string {
  if (releases === 0) return '';
  const recipes = releases === 1 ? 'one past recipe' : `${releases} past recipes`;
  return cups === 0
    ? `, from the rules and ${recipes}`
    : `, from the rules, ${recipes} and ${cups} cups of ${coffees === 1 ? 'one coffee' : `${coffees} coffees`} that tell more than their recipes`;
}
