'use client';

import { useId, useRef } from 'react';
import styled from 'styled-components';
import { tickLook } from './choices';
import { labelText } from './type';

/**
 * A scale of whole numbers as a ruled strip: arrows walk it, a digit jumps and the focus follows, 1 and 0 in
 * a row are 10, Backspace clears. Untouched is no answer.
 */
export interface ScaleRowProps {
  readonly label: string;
  readonly low: string;
  readonly high: string;
  readonly from: number;
  readonly to: number;
  readonly value: number | undefined;
  /** Undefined where the answer was taken back. */
  readonly onChange: (value: number | undefined) => void;
}

/** Two digits this close together are one number. */
const ONE_NUMBER_MS = 1200;

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
  min-height: 31px;
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
  const cells = useRef<HTMLDivElement>(null);
  const typed = useRef<{ digit: number; at: number } | null>(null);
  const jump = (event: React.KeyboardEvent) => {
    if (event.key === 'Backspace' || event.key === 'Delete') {
      event.preventDefault();
      typed.current = null;
      return onChange(undefined);
    }
    if (!/^\d$/.test(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
    event.stopPropagation();
    const { digit, at } = typed.current ?? { digit: 0, at: -Infinity };
    const isSecond = event.timeStamp - at < ONE_NUMBER_MS;
    const number = (isSecond ? 10 * digit : 0) + Number(event.key);
    const value = number <= to ? number : Number(event.key);
    if (value < from || value > to) return;
    typed.current = { digit: value, at: event.timeStamp };
    onChange(value);
    // The next Tab leaves from where the answer stands, not from where it was typed.
    cells.current?.querySelectorAll('input')[value - from]?.focus();
  };
  return (
    <Row role="radiogroup" aria-labelledby={id}>
      <Name id={id} className="name">
        {label}
      </Name>
      <span className="end low">{low}</span>
      <Cells className="cells" onKeyDown={jump} ref={cells}>
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
