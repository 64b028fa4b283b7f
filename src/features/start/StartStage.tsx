'use client';

import Link from 'next/link';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useState, useTransition } from 'react';
import styled from 'styled-components';
import { ouncesOf } from '@/core/units';
import type { Proposal, Pushed } from '@/core/start/propose';
import {
  STYLE_LABELS,
  STYLES,
  TEMPERATURE_SCHOOL_LABELS,
  TEMPERATURE_SCHOOLS,
  type BrewStyle,
  type TemperatureSchool,
} from '@/core/vocabulary';
import type { BatchView, ReleaseView } from '@/data/releaseView';
import type { StoredSetup } from '@/data/setups';
import { Choice } from '@/ui/choices';
import { dayWords } from '@/core/dayWords';
import { SelectInput } from '@/ui/fields';
import { useUnits } from '@/ui/person';
import { PushChart } from '@/ui/PushChart';
import { signed } from '@/ui/signed';
import { Notice, SectionTitle, Small, StageTitle } from '@/ui/type';
import { AcceptForm } from './AcceptForm';

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
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

const Variable = styled.section`
  display: grid;
  gap: 6px;
  align-content: start;
`;

const Variables = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
  gap: 18px 28px;

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const VARIABLES: Record<
  Pushed,
  { title: string; unit: string; digits: number; span: [number, number] }
> = {
  ratio: { title: 'Ratio', unit: '', digits: 2, span: [1.5, 3] },
  temperatureC: { title: 'Temperature', unit: ' °C', digits: 1, span: [88, 96] },
  timeS: { title: 'Time from the pump', unit: ' s', digits: 0, span: [20, 40] },
  grindSteps: {
    title: 'Grind, in steps finer than your reference',
    unit: ' steps',
    digits: 1,
    span: [-3, 3],
  },
  doseG: { title: 'Dose', unit: ' g', digits: 1, span: [16, 19] },
};

export interface StartStageProps {
  readonly view: ReleaseView;
  /** The batch the proposal is for. */
  readonly batch: BatchView;
  readonly proposal: Proposal;
  readonly style: BrewStyle;
  readonly temperatureSchool: TemperatureSchool;
  readonly setups: readonly StoredSetup[];
  readonly setupId: string | undefined;
}

export function StartStage({
  view,
  batch,
  proposal,
  style,
  temperatureSchool,
  setups,
  setupId,
}: StartStageProps) {
  const { choose, isChoosing } = useQuestion();
  const [open, setOpen] = useState<Pushed>('ratio');
  const setup = setups.find(({ id }) => id === setupId);
  return (
    <Stack aria-busy={isChoosing}>
      <StageTitle>Where to begin</StageTitle>
      <Switches>
        <Choice
          label="Brew style"
          value={style}
          onChange={(value) => choose('style', value)}
          options={STYLES.map((value) => ({ value, label: STYLE_LABELS[value] }))}
        />
        <SelectInput
          label="Temperature school"
          value={temperatureSchool}
          onChange={(value) => choose('school', value)}
          options={TEMPERATURE_SCHOOLS.map((value) => ({
            value,
            label: TEMPERATURE_SCHOOL_LABELS[value],
          }))}
        />
        <SelectInput
          label="Setup"
          value={setupId ?? ''}
          onChange={(value) => choose('setup', value)}
          options={setups.map(({ id, name }) => ({ value: id, label: name }))}
        />
        {view.batches.length > 1 && (
          <SelectInput
            label="Batch"
            value={batch.id}
            onChange={(value) => choose('batch', value)}
            options={view.batches.map(({ id, roastDate, label, rest }) => ({
              value: id,
              label: `Roasted ${dayWords(roastDate)}${label && ` (${label})`}, day ${rest.restDays}`,
            }))}
          />
        )}
      </Switches>
      {setups.length === 0 && (
        <Notice>
          No setup is described yet: the proposal assumes an 18 g basket and cannot go on a bench.{' '}
          <Link href="/equipment">Describe machine, grinder and basket</Link>.
        </Notice>
      )}
      {proposal.warnings.map(({ code, text }) => (
        <Notice key={code}>{text}</Notice>
      ))}
      <AcceptForm
        key={`${style} ${temperatureSchool} ${setupId} ${batch.id}`}
        view={view}
        batch={batch}
        proposal={proposal}
        style={style}
        temperatureSchool={temperatureSchool}
        setup={setup}
      />
      <section>
        <SectionTitle>Why these figures</SectionTitle>
        <p>
          <Small>
            {proposal.rulesOnly
              ? 'Rules only: fewer than five published releases of your own stand behind this, so the 80 % bands are honest only as far as the trade’s rules are. House heuristic.'
              : 'The trade’s rules and your own published releases.'}{' '}
            Each row pushes the figure from where the row above left it; rows sum to the proposal.
          </Small>
        </p>
      </section>
      <Choice
        label="Show the pushes on"
        value={open}
        onChange={setOpen}
        options={(Object.keys(VARIABLES) as Pushed[]).map((value) => ({
          value,
          label: VARIABLES[value].title.split(',')[0]!.replace(' from the pump', ''),
        }))}
      />
      <Variables>
        <VariablePushes name={open} proposal={proposal} />
      </Variables>
    </Stack>
  );
}

function VariablePushes({ name, proposal }: { name: Pushed; proposal: Proposal }) {
  const { title, unit, digits, span } = VARIABLES[name];
  const [base, ...rest] = proposal.pushes[name];
  const from = base!.rule + base!.learned;
  const total = rest.reduce((sum, push) => sum + push.rule + push.learned, from);
  const { mass, temperature, units } = useUnits();
  const format = (value: number) => {
    if (name === 'doseG') return mass(value);
    return name === 'temperatureC' ? temperature(value) : `${value.toFixed(digits)}${unit}`;
  };
  const formatChange = (value: number) => {
    if (name === 'doseG' && units.mass === 'oz') return signed(ouncesOf(value), 3);
    const shown = name === 'temperatureC' && units.temperature === 'F' ? 1.8 * value : value;
    return signed(shown, Math.max(1, digits));
  };
  const [low, high] = proposal.interval80[name];
  return (
    <Variable>
      <SectionTitle>
        {title}: {format(total)}, 80 % between {format(low)} and {format(high)}
      </SectionTitle>
      <PushChart
        rows={rest.map((push) => ({ label: push.label, amount: push.rule + push.learned }))}
        from={from}
        total={total}
        totalLabel={`From ${format(from)} to`}
        interval80={[low, high]}
        span={span}
        format={format}
        formatChange={formatChange}
      />
    </Variable>
  );
}

/** The question asked of the rules lives in the address, so it can be shared and gone back to. */
function useQuestion() {
  const router = useRouter();
  const path = usePathname();
  const search = useSearchParams();
  const [isChoosing, startChoice] = useTransition();
  const choose = (key: string, value: string) => {
    const next = new URLSearchParams(search);
    next.set(key, value);
    startChoice(() => router.replace(`${path}?${next}`, { scroll: false }));
  };
  return { choose, isChoosing };
}
