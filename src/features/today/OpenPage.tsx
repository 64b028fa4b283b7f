'use client';

import { Link } from '@/ui/Link';
import styled from 'styled-components';
import type { AdviceStatus } from '@/core/advice/types';
import { dayWords } from '@/core/dayWords';
import type { PublicState } from '@/core/state/recipeState';
import { CLOCK_LABELS } from '@/core/vocabulary';
import { publicWords } from '@/words/publicWords';
import { Page } from '@/ui/Page';
import { useUnits } from '@/ui/person';
import { labelText, readingText, Small, StageTitle } from '@/ui/type';
import type { OpenCoffee } from './openCoffees';

const Cards = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr));
  gap: 14px;
`;

const Card = styled(Link)`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 14px;
  height: 100%;
  align-content: start;
  padding: 12px 14px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  text-decoration: none;

  strong {
    font-stretch: 94%;
    font-size: 17px;
    overflow-wrap: anywhere;
  }

  .masses {
    ${readingText}
    grid-column: 1 / -1;
    font-size: 23px;
    line-height: 1.2;
  }

  .dial {
    ${readingText}
    text-align: right;
  }

  .words {
    ${labelText}
    grid-column: 1 / -1;
  }

  @media print {
    break-inside: avoid;
  }
`;

/** How far a setting can be trusted by somebody who was not there. */
const TRUST: Partial<Record<AdviceStatus, string>> = {
  approved: 'Approved',
  onTarget: 'On target, not tasted',
  nearest: 'Nearest this grinder comes',
};

/** Does the card say otherwise than the bench? */
const isPublicOther = ({ published }: { readonly published: PublicState | null }) =>
  published !== null && published.differs.length > 0;

/** What can be pulled today, and how: for a hand at the machine with a phone beside it. */
export function OpenPage({ coffees }: { coffees: readonly OpenCoffee[] }) {
  const { massFigure, mass, temperature, units } = useUnits();
  return (
    <Page>
      <StageTitle as="h1">Open today</StageTitle>
      {coffees.length === 0 ? (
        <p>
          No coffee is open: each is too fresh still, or has faded. <Link href="/">Today</Link> says
          when the next one opens.
        </p>
      ) : (
        <Cards>
          {coffees.map(({ releaseId, batchId, name, roastDate, rest, setting }) => (
            <li key={batchId}>
              <Card href={`/releases/${releaseId}/${setting ? 'pull' : 'start'}`}>
                <strong>{name}</strong>
                <span className="dial">{setting && `dial ${setting.dialWords}`}</span>
                {setting ? (
                  <>
                    <span className="masses">
                      {massFigure(setting.doseG)} → {mass(setting.yieldG)} in{' '}
                      {setting.timeS.join('-')} s
                    </span>
                    <span className="words">
                      {CLOCK_LABELS[setting.clock]}, {temperature(setting.temperatureC)},{' '}
                      {setting.setupName}.{' '}
                      {setting.isOfOtherBatch
                        ? 'The setting is the last batch’s: carry it over first'
                        : (TRUST[setting.status] ?? 'Being dialled in')}
                      {isPublicOther(setting) && `; ${publicWords(setting.published, units)}`}.
                    </span>
                  </>
                ) : (
                  <span className="words">No recipe yet: Start proposes one.</span>
                )}
                <span className="words">
                  Roasted {dayWords(roastDate)}, {rest}.
                </span>
              </Card>
            </li>
          ))}
        </Cards>
      )}
      <Small>
        In their span of rest days, the oldest first. The dial is that of the next shot on this
        house’s bench, and of no other grinder.
      </Small>
    </Page>
  );
}
