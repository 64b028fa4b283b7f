'use client';

import { useId } from 'react';
import styled from 'styled-components';
import { tickLook } from './choices';
import { labelText } from './type';

/** A scale of whole numbers as a ruled strip: arrows walk it, a digit jumps. Untouched is no answer. */
export interface ScaleRowProps {
  readonly label: string;
  readonly low: string;
  readonly high: string;
  readonly from: number;
  readonly to: number;
  readonly value: number | undefined;
  readonly onChange: (value: number) => void;
}

const Row = styled.div`
  display: grid;
  grid-template-columns: 118px 66px minmax(0, 1fr) 66px;
  gap: 8px;
  align-items: center;

  .end {
    ${labelText}
    font-size: 13px;
  }

  .low {
    text-align: right;
  }

  @media (max-width: 640px) {
    grid-template-columns: 1fr 1fr;
    gap: 2px 8px;

    .name {
      grid-column: 1 / -1;
    }

    .cells {
      grid-column: 1 / -1;
      grid-row: 2;
    }

    .low {
      text-align: left;
    }

    .high {
      text-align: right;
    }
  }
`;

const Name = styled.span`
  font-weight: 580;
`;

const Cells = styled.div`
  display: flex;
`;

const Cell = styled.label`
  flex: 1;
  display: grid;
  place-items: center;
  min-height: 36px;
  margin-right: -1px;
  border: 1px solid var(--rule-strong);
  background: var(--enamel-raised);
  font-stretch: var(--narrow);
  cursor: pointer;

  &[data-filled='true'] {
    background: var(--enamel-sunk);
  }

  ${tickLook}

  @media (max-width: 640px) {
    min-height: 44px;
  }
`;

export function ScaleRow({ label, low, high, from, to, value, onChange }: ScaleRowProps) {
  const id = useId();
  const numbers = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  const jump = (event: React.KeyboardEvent) => {
    const digit = Number(event.key);
    if (event.key === ' ' || !Number.isInteger(digit) || digit < from || digit > to) return;
    event.stopPropagation();
    onChange(digit);
  };
  return (
    <Row role="radiogroup" aria-labelledby={id}>
      <Name id={id} className="name">
        {label}
      </Name>
      <span className="end low">{low}</span>
      <Cells className="cells" onKeyDown={jump}>
        {numbers.map((number) => (
          <Cell key={number} data-filled={value !== undefined && from >= 0 && number < value}>
            <input
              type="radio"
              name={id}
              checked={number === value}
              onChange={() => onChange(number)}
            />
            {number < 0 ? `−${-number}` : number}
          </Cell>
        ))}
      </Cells>
      <span className="end high">{high}</span>
    </Row>
  );
}
