'use client';

import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { useMay } from '@/ui/person';
import { labelText } from '@/ui/type';

const Steps = styled.ol`
  display: grid;
  gap: 2px;
  max-width: 640px;
`;

const Step = styled.li`
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr);
  gap: 4px 10px;
  padding: 10px 6px;
  border-bottom: 1px solid var(--rule);

  .number {
    font-stretch: var(--wide);
    font-weight: 620;
    color: var(--ink-soft);
  }

  &[data-done='true'] .number {
    color: var(--verdigris);
  }

  p {
    ${labelText}
    grid-column: 2;
  }
`;

export interface FirstStepsProps {
  readonly hasSetup: boolean;
  readonly hasRelease: boolean;
  readonly hasColleague: boolean;
}

/** An empty house: what to do first, and what can wait. */
export function FirstSteps({ hasSetup, hasRelease, hasColleague }: FirstStepsProps) {
  const isLead = useMay('lead');
  if (!isLead) return <p>The lead is still setting up. Come back when a coffee stands here.</p>;
  const steps = [
    {
      href: '/equipment',
      words: 'Describe machine, grinder and basket',
      why: 'Proposal and advice keep to what your bench can do. Nothing can be proposed without it.',
      isDone: hasSetup,
    },
    {
      href: '/releases/new',
      words: 'Create the first release from what the bag says',
      why: 'Origin, process, roast and its date are enough. Or import a spreadsheet you have.',
      isDone: hasRelease,
    },
    {
      href: '/people',
      words: 'Invite who pulls and tastes with you',
      why: 'A card asks for two palates before it leaves the house.',
      isDone: hasColleague,
    },
    {
      href: '/house',
      words: 'Say how the house works',
      why: 'Clock, schools, tolerances, coffee price, closed days, your own roast words. Can wait.',
      isDone: false,
    },
  ];
  return (
    <section aria-label="First steps">
      <Steps>
        {steps.map(({ href, words, why, isDone }, i) => (
          <Step key={href} data-done={isDone}>
            <span className="number">{isDone ? '✓' : i + 1}</span>
            <Link href={href}>
              {words}
              {isDone && ' (done)'}
            </Link>
            <p>{why}</p>
          </Step>
        ))}
      </Steps>
    </section>
  );
}
