'use client';

import styled from 'styled-components';
import type { PublishCheck } from '@/data/publications';
import { TextInput } from '@/ui/fields';
import { labelText, SectionTitle } from '@/ui/type';
import { GATE_LABELS } from './gateLabels';
import type { PassText } from './passText';
import type { Readiness } from './readiness';

const List = styled.ul`
  display: grid;
  gap: 8px;
  margin-top: 8px;
`;

const Row = styled.li`
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: 2px 12px;

  .state {
    ${labelText}
    padding-left: 8px;
    border-left: 4px solid var(--under);
    align-self: start;
  }

  &[data-met='true'] .state {
    border-left-color: var(--verdigris);
    color: var(--verdigris);
    font-weight: 660;
  }

  > :nth-child(n + 3) {
    grid-column: 2;
    max-width: 520px;
  }
`;

export interface PublishChecksProps {
  readonly readiness: readonly Readiness[];
  /** Reasons typed so far; without them gates are only shown. */
  readonly passed?: PassText;
  readonly onPass?: (gate: PublishCheck, reason: string) => void;
  readonly faultOf?: (field: string) => string | undefined;
}

/** What a recipe should have behind it; a gap is passed by the lead's word, which is kept. */
export function PublishChecks({ readiness, passed = {}, onPass, faultOf }: PublishChecksProps) {
  return (
    <section aria-label="Readiness">
      <SectionTitle>Ready to publish?</SectionTitle>
      <List>
        {readiness.map(({ gate, isMet, words }) => (
          <Row key={gate} data-met={isMet}>
            <span className="state">{isMet ? '✓ stands' : 'missing'}</span>
            <span>
              <strong>{GATE_LABELS[gate]}.</strong> {words}
            </span>
            {!isMet && onPass && (
              <TextInput
                label="Publish all the same, because"
                hint="Kept in the house with this version; the card does not show it"
                value={passed[gate] ?? ''}
                onChange={(reason) => onPass(gate, reason)}
                fault={faultOf?.(`passed.${gate}`)}
              />
            )}
          </Row>
        ))}
      </List>
    </section>
  );
}
