'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { RestSpan, RestState } from '@/core/rest/rest';
import { buttonLook, mainLook } from '@/ui/Button';
import { Page } from '@/ui/Page';
import { RestStrip, type StripMark } from '@/ui/RestStrip';
import { Key, labelText, Notice, Small } from '@/ui/type';

export interface ShelfRow {
  readonly id: string;
  readonly name: string;
  readonly origin: string;
  readonly restDays: number;
  readonly state: RestState;
  readonly span: RestSpan;
  readonly marks: readonly StripMark[];
  /** What stands on the bench for it, or what is next, in a few words. */
  readonly standing: string;
}

const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;

  a {
    ${buttonLook}
  }

  a.main {
    ${mainLook}
  }
`;

const Row = styled(Link)`
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr) 200px;
  gap: 18px;
  align-items: center;
  padding: 10px 8px;
  border-bottom: 1px solid var(--rule);
  text-decoration: none;

  &:hover {
    background: var(--enamel-raised);
  }

  strong {
    display: block;
    font-stretch: 94%;
    overflow-wrap: anywhere;
  }

  small {
    ${labelText}
  }

  .standing {
    font-size: 14.5px;
  }

  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
  }
`;

const Wide = styled(Page)`
  max-width: none;
`;

export function Shelf({
  rows,
  hasSetup,
  importer,
}: {
  rows: readonly ShelfRow[];
  hasSetup: boolean;
  importer: ReactNode;
}) {
  return (
    <Wide>
      <h1>{rows.length === 0 ? 'No coffee here yet' : 'Releases'}</h1>
      {!hasSetup && (
        <Notice>
          No setup is described yet, so nothing can be proposed.{' '}
          <Link href="/bench">Describe machine, grinder and basket</Link>.
        </Notice>
      )}
      {rows.length === 0 && (
        <p>
          Create the first release from what the bag says: origin, process, roast and its date are
          enough.
        </p>
      )}
      <Actions>
        <Link className="main" href="/releases/new">
          New release
        </Link>
        {importer}
        <Small>
          <Key>R</Key> new release <Key>H</Key> here
        </Small>
      </Actions>
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            <Row href={`/releases/${row.id}`}>
              <span>
                <strong>{row.name}</strong>
                <small>{row.origin}</small>
              </span>
              <RestStrip
                restDays={row.restDays}
                state={row.state}
                span={row.span}
                marks={row.marks}
              />
              <span className="standing">{row.standing}</span>
            </Row>
          </li>
        ))}
      </ul>
    </Wide>
  );
}
