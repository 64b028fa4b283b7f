'use client';

import { Label } from 'react-aria-components/Label';
import { Radio, RadioGroup } from 'react-aria-components/RadioGroup';
import { ToggleButton } from 'react-aria-components/ToggleButton';
import styled from 'styled-components';
import { fieldLabelLook } from './fields';

const Group = styled(RadioGroup)`
  display: flex;
  flex-direction: column;
  gap: 3px;
`;

const GroupLabel = styled(Label)`
  ${fieldLabelLook}
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
`;

const Option = styled(Radio)`
  display: flex;
  align-items: center;
  min-height: 40px;
  padding: 4px 12px;
  margin: 0 -1px -1px 0;
  border: 1px solid var(--rule-strong);
  background: var(--enamel-raised);
  cursor: pointer;

  &[data-selected] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--enamel-raised);
    font-weight: 600;
    z-index: 1;
  }
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
  return (
    <Group value={value} onChange={(next) => onChange(next as T)} orientation="horizontal">
      <GroupLabel>{label}</GroupLabel>
      <Row>
        {options.map((option) => (
          <Option key={option.value} value={option.value}>
            {option.label}
          </Option>
        ))}
      </Row>
    </Group>
  );
}

/** A word that is ticked or not. */
export const Chip = styled(ToggleButton)`
  min-height: 34px;
  padding: 2px 9px;
  font-stretch: 84%;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  color: var(--ink);
  cursor: pointer;

  @media (max-width: 640px) {
    min-height: 44px;
  }

  &::before {
    content: '+ ';
    color: var(--ink-soft);
  }

  &[data-selected] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--enamel-raised);
  }

  &[data-selected]::before {
    content: '✓ ';
    color: inherit;
  }
`;

export const ChipRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;
