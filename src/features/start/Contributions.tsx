'use client';

import styled from 'styled-components';
import type { Proposal } from '@/core/start/propose';
import type { ProposedVariable } from '@/core/start/proposedVariables';
import { CLOCK_LABELS } from '@/core/vocabulary';
import { useUnits } from '@/ui/person';
import { ContributionChart } from '@/ui/ContributionChart';
import { SectionTitle } from '@/ui/type';
import { formatsOf, VARIABLES } from './variables';

const Variable = styled.section`
  display: grid;
  gap: 6px;
  align-content: start;
`;

/** One variable as a sum: what the trade's rules push, and what the house's releases have taught. */
export function Pushes({ name, proposal }: { name: ProposedVariable; proposal: Proposal }) {
  const { title, span } = VARIABLES[name];
  const { format, formatChange } = formatsOf(name, useUnits());
  const [base, ...rest] = proposal.contributions[name];
  const total = proposal.contributions[name].reduce(
    (sum, { rule, learned }) => sum + rule + learned,
    0,
  );
  const isLearned = proposal.releases > 0;
  const rows = [
    ...(isLearned ? [{ label: 'Your usual coffee', rule: 0, learned: base!.learned }] : []),
    ...rest,
  ].map(({ label, rule, learned }) => ({
    label,
    amount: rule + learned,
    ...(isLearned && { learned }),
  }));
  const [low, high] = proposal.interval80[name];
  return (
    <Variable>
      <SectionTitle>
        {title}
        {name === 'timeS' && `, counted ${CLOCK_LABELS[proposal.recipe.clock]}`}: {format(total)},
        likely {format(low)} to {format(high)} (8 in 10)
      </SectionTitle>
      <ContributionChart
        rows={rows}
        from={base!.rule}
        total={total}
        totalLabel={`From ${format(base!.rule)} to`}
        interval80={[low, high]}
        span={span}
        format={format}
        formatChange={formatChange}
      />
    </Variable>
  );
}
