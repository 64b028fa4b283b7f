'use client';

import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { CLOCK_LABELS } from '@/core/vocabulary';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Link } from '@/ui/Link';
import { useMay, useUnits } from '@/ui/person';
import { usePutOnBench } from '@/ui/usePutOnBench';
import type { ReleaseView } from '@/views/release';

const Bar = styled.section`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  margin-bottom: 14px;
  padding: 10px 14px;
  border-left: 4px solid var(--rule-strong);
  background: var(--enamel-raised);

  p {
    flex: 1 1 320px;
  }
`;

/** What a page shows is of another batch than the one on the bench: its recipe, and the way to put it there. */
export function OtherBatch({
  view,
}: {
  view: Pick<ReleaseView, 'release' | 'batch' | 'bench' | 'benchDraftId'>;
}) {
  const { massFigure, mass, temperature } = useUnits();
  const isLead = useMay('lead');
  const { put, faults, isBusy } = usePutOnBench(view.release.id);
  const { batch, bench, benchDraftId, release } = view;
  if (benchDraftId === null || bench?.isOnBench) return null;
  const roasted = dayWords(batch.roastDate);
  if (!bench)
    return (
      <Bar aria-label="Another batch">
        <p>
          <strong>Batch roasted {roasted}:</strong> no recipe yet.{' '}
          <Link href={`/releases/${release.id}/start?batch=${batch.id}`}>Begin one at Start</Link>.
        </p>
      </Bar>
    );
  const { recipe } = bench.draft;
  return (
    <Bar aria-label="Another batch">
      <p>
        <strong>Batch roasted {roasted}, not on the bench:</strong> {massFigure(recipe.doseG)} →{' '}
        {mass(recipe.yieldG)} in {recipe.timeS.join('-')} s {CLOCK_LABELS[recipe.clock]},{' '}
        {temperature(recipe.temperatureC)}, on {bench.setup.name}.
      </p>
      {isLead && (
        <Button
          isPending={isBusy}
          onPress={() =>
            void put(bench.draft.id, `The batch roasted ${roasted} is on the bench again.`)
          }
        >
          Put on the bench
        </Button>
      )}
      <Faults faults={faults} />
    </Bar>
  );
}
