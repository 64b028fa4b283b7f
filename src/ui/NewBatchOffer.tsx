'use client';

import { figure } from '@/core/figure';
import styled from 'styled-components';
import type { Advice } from '@/core/advice/types';
import { dayWords } from '@/core/dayWords';
import { CLOCK_LABELS } from '@/core/vocabulary';
import { MainButton } from './Button';
import { Faults } from './Faults';
import { useMay } from './person';
import { useCarry } from './useCarry';

const Offer = styled.section`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  padding: 10px 14px;
  border-left: 4px solid var(--copper);
  background: var(--enamel-raised);

  p {
    flex: 1 1 320px;
  }
`;

/** What is offered: a batch, the recipe it would take over, and what its first shot should do. */
export interface OfferedBatch {
  readonly batchId: string;
  readonly roastDate: string;
  readonly label: string;
  readonly restDays: number;
  readonly source: { readonly roastDate: string; readonly dial: number };
  readonly recipe: { readonly ratio: number };
  /** The roast is another: the ratio was moved. */
  readonly isRatioMoved: boolean;
  /** Where its dial stands, or goes, as its grinder writes it. */
  readonly dialWords: string;
  readonly advice: Pick<Advice, 'setting' | 'expect'>;
}

/** A new batch of a coffee that has a recipe: one press puts it on the bench, its dial moved. */
export function NewBatchOffer({
  releaseId,
  newBatch,
}: {
  releaseId: string;
  newBatch: OfferedBatch;
}) {
  const mayPull = useMay('bench');
  const { batchId, roastDate, label, restDays } = newBatch;
  const { carry, faults, isBusy } = useCarry(releaseId, batchId);
  return (
    <Offer aria-label="New batch">
      <p>
        <strong>
          New batch, roasted {dayWords(roastDate)}
          {label && ` (${label})`}, day {restDays}.
        </strong>{' '}
        {offerWords(newBatch)}
      </p>
      {mayPull && (
        <MainButton onPress={carry} isPending={isBusy}>
          Carry the recipe over
        </MainButton>
      )}
      <Faults faults={faults} />
    </Offer>
  );
}

/** What the press will do, and what the first shot is expected to run. */
function offerWords({ source, recipe, advice, isRatioMoved, dialWords }: OfferedBatch): string {
  const { setting, expect } = advice;
  const dial =
    setting.dial === source.dial
      ? `its dial ${dialWords}`
      : `its dial moved ${dialWords} for age, colour and grinder`;
  const ratio = isRatioMoved ? `, 1:${figure(recipe.ratio, 2)} for the other roast,` : '';
  const [low, high] = expect.interval80;
  return `The recipe of the batch of ${dayWords(source.roastDate)}${ratio} on ${dial} should run ${figure(expect.timeS, 0)} s ${CLOCK_LABELS[expect.clock]}, likely ${figure(low, 0)}-${figure(high, 0)} (8 in 10). One shot usually settles it.`;
}
