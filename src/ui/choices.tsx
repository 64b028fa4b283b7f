'use client';

import { useId, type ReactNode } from 'react';
import styled, { css } from 'styled-components';
import { fieldLabelLook } from './fields';

/** A native radio or checkbox inside its cell: the cell shows state and focus. */
export const tickLook = css`
  position: relative;

  input {
    position: absolute;
    inset: 0;
    margin: 0;
    opacity: 0;
    cursor: pointer;
  }

  &:has(:checked) {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--enamel-raised);
    font-weight: 640;
    z-index: 1;
  }

  /* Where a system has colours of its own the chosen one keeps the system's mark of it. */
  @media (forced-colors: active) {
    &:has(:checked) {
      background: Highlight;
      color: HighlightText;
      forced-color-adjust: none;
    }
  }

  &:has(:focus-visible) {
    outline: 3px solid var(--focus);
    outline-offset: 1px;
    z-index: 2;
  }
`;

const Group = styled.div`
  display: flex;
  flex-direction: column;
  gap: 3px;
`;

const GroupLabel = styled.span`
  ${fieldLabelLook}
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
`;

/** The browser's own radio, unseen under its word: arrows walk it, and it costs a server little. */
const Option = styled.label`
  display: flex;
  align-items: center;
  min-height: 40px;
  padding: 4px 12px;
  margin: 0 -1px -1px 0;
  border: 1px solid var(--rule-strong);
  background: var(--enamel-raised);
  cursor: pointer;

  ${tickLook}
`;

/** One of a few words, side by side. */
export function Choice<T extends string>({
  label,
  value,
  onChange,
  options,
}: {
  label: string;
  value: T;
  onChange: (value: T) => void;
  options: readonly { value: T; label: string }[];
}) {
  const id = useId();
  return (
    <Group role="radiogroup" aria-labelledby={id}>
      <GroupLabel id={id}>{label}</GroupLabel>
      <Row>
        {options.map((option) => (
          <Option key={option.value}>
            <input
              type="radio"
              name={id}
              checked={option.value === value}
              onChange={() => onChange(option.value)}
            />
            {option.label}
          </Option>
        ))}
      </Row>
    </Group>
  );
}

const ChipBox = styled.label`
  display: inline-flex;
  align-items: center;
  min-height: 34px;
  padding: 2px 9px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  font-stretch: 84%;
  cursor: pointer;
  ${tickLook}

  @media (max-width: 640px) {
    min-height: 44px;
  }

  &::before {
    content: '+';
    padding-right: 5px;
    color: var(--ink-soft);
  }

  &:has(:checked)::before {
    content: '✓';
    color: inherit;
  }
`;

/** A word that is ticked or not. */
export function Chip({
  isSelected,
  onChange,
  children,
}: {
  isSelected: boolean;
  onChange: (isSelected: boolean) => void;
  children: ReactNode;
}) {
  return (
    <ChipBox>
      <input
        type="checkbox"
        checked={isSelected}
        onChange={(event) => onChange(event.target.checked)}
      />
      {children}
    </ChipBox>
  );
}

export const ChipRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;
