'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { SelectInput } from '@/ui/fields';
import type { BatchChoice } from '@/views/lookedAt';

/** The stages that show one batch. */
export const OF_ONE_BATCH: readonly string[] = ['pull', 'taste', 'rest'];

/** What the address looks at; the one on the bench where it does not say. */
export function useLookedAt(choices: readonly BatchChoice[]): BatchChoice | undefined {
  const asked = useSearchParams();
  const dialIn = asked.get('dialIn');
  const batch = asked.get('batch');
  const onBench = choices.find(({ isOnBench }) => isOnBench);
  if (dialIn !== null) return choices.find(({ query }) => query === `dialIn=${dialIn}`) ?? onBench;
  return (
    (batch === onBench?.batchId ? undefined : choices.find((one) => one.batchId === batch)) ??
    onBench
  );
}

/** Beside the stages where there is room: label and choice in one line. */
const Switch = styled.div`
  flex: 0 1 250px;

  > div {
    flex-direction: row;
    align-items: center;
    gap: 8px;
  }

  @media (max-width: 1180px) {
    order: -1;
    flex-basis: 100%;
  }
`;

/** Every batch of the coffee, with its shots: what stands on Pull, Taste and Rest is of the one chosen. */
export function BatchSwitch({
  choices,
  shown,
  path,
}: {
  choices: readonly BatchChoice[];
  shown: BatchChoice | undefined;
  /** The page it is changed on. */
  path: string;
}) {
  const router = useRouter();
  if (choices.length < 2) return null;
  return (
    <Switch className="screen-only">
      <SelectInput
        label="Batch"
        value={shown?.query ?? ''}
        onChange={(query) => router.push(`${path}?${query}`)}
        options={choices.map((choice) => ({ value: choice.query, label: choiceWords(choice) }))}
      />
    </Switch>
  );
}

const choiceWords = ({ roastDate, label, dialInName, shots, isOnBench }: BatchChoice) =>
  [
    dayWords(roastDate) + (label && ` (${label})`),
    dialInName,
    shots === 0 ? 'no shots' : `${shots} ${shots === 1 ? 'shot' : 'shots'}`,
    isOnBench ? 'on the bench' : '',
  ]
    .filter(Boolean)
    .join(', ');
