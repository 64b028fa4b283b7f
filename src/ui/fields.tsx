'use client';

import { useId, type KeyboardEvent, type ReactNode, type Ref } from 'react';
import { FieldError } from 'react-aria-components/FieldError';
import { Input } from 'react-aria-components/Input';
import { Label } from 'react-aria-components/Label';
import { Text } from 'react-aria-components/Text';
import { TextArea } from 'react-aria-components/TextArea';
import { TextField } from 'react-aria-components/TextField';
import styled, { css } from 'styled-components';
import { LIMITS, type LimitName } from '@/core/limits';

const Field = styled(TextField)`
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-width: 0;
`;

const labelLook = css`
  font-stretch: var(--narrow);
  font-weight: 560;
  font-size: 14px;
  color: var(--ink-soft);
`;

const FieldLabel = styled(Label)`
  ${labelLook}
`;

const controlLook = css`
  width: 100%;
  min-height: 40px;
  padding: 6px 10px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  color: var(--ink);

  &[data-invalid],
  &[aria-invalid='true'] {
    border: 2px solid var(--over);
  }
`;

const Control = styled(Input)`
  ${controlLook}
`;

const Area = styled(TextArea)`
  ${controlLook}
  min-height: 64px;
  resize: vertical;
`;

const Reading = styled(Input)<{ $large: boolean }>`
  ${controlLook}
  font-stretch: var(--wide);
  font-weight: 560;
  ${({ $large }) =>
    $large &&
    css`
      min-height: var(--target);
      font-size: 20px;
    `}
`;

const Fault = styled(FieldError)`
  color: var(--over);
  font-size: 13.5px;
  font-weight: 560;
`;

const Hint = styled(Text)`
  color: var(--ink-soft);
  font-size: 13.5px;
`;

interface Common {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Fault of this field from the server or the form, worded for the user. */
  readonly fault?: string | undefined;
  readonly hint?: ReactNode;
}

/** One line of text. */
export function TextInput({
  label,
  value,
  onChange,
  fault,
  hint,
  ...rest
}: Common & { autoFocus?: boolean; type?: string; placeholder?: string }) {
  return (
    <Field value={value} onChange={onChange} isInvalid={fault !== undefined}>
      <FieldLabel>{label}</FieldLabel>
      <Control {...rest} />
      {hint && <Hint slot="description">{hint}</Hint>}
      <Fault>{fault}</Fault>
    </Field>
  );
}

/** Some sentences. */
export function TextAreaInput({
  label,
  value,
  onChange,
  fault,
  hint,
  rows = 2,
}: Common & { rows?: number }) {
  return (
    <Field value={value} onChange={onChange} isInvalid={fault !== undefined}>
      <FieldLabel>{label}</FieldLabel>
      <Area rows={rows} />
      {hint && <Hint slot="description">{hint}</Hint>}
      <Fault>{fault}</Fault>
    </Field>
  );
}

/** "36,5" and "36.5" both mean 36.5; an empty field is undefined; anything else stays text. */
export function readNumber(text: string): number | string | undefined {
  const trimmed = text.trim();
  if (trimmed === '') return undefined;
  const value = Number(trimmed.replace(',', '.'));
  return Number.isFinite(value) ? value : trimmed;
}

/** A nudged value without floating-point dust, within the limits of its quantity. */
export function nudge(text: string, change: number, name: LimitName): string {
  const value = readNumber(text);
  const { min, max } = LIMITS[name];
  const from = typeof value === 'number' ? value : min;
  const next = Math.min(max, Math.max(min, from + change));
  return String(Number(next.toFixed(3)));
}

export interface QuantityProps extends Common {
  readonly quantity: LimitName;
  /** What one press of an arrow key changes. */
  readonly step: number;
  readonly large?: boolean;
  readonly inputRef?: Ref<HTMLInputElement>;
  readonly isRequired?: boolean;
}

/** A measured figure: arrows nudge it by the scale's step, a decimal comma is read too. */
export function QuantityInput(props: QuantityProps) {
  const { label, value, onChange, fault, hint, quantity, step, large = false, inputRef } = props;
  const { unit } = LIMITS[quantity];
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    // Leaving the field gives the single keys back to the bench.
    if (event.key === 'Escape') event.currentTarget.blur();
    const direction = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (direction === undefined || event.altKey) return;
    event.preventDefault();
    onChange(nudge(value, direction * step * (event.shiftKey ? 10 : 1), quantity));
  };
  return (
    <Field value={value} onChange={onChange} isInvalid={fault !== undefined}>
      <FieldLabel>
        {label}
        {unit && `, ${unit}`}
      </FieldLabel>
      <Reading
        inputMode="decimal"
        autoComplete="off"
        onKeyDown={onKeyDown}
        onFocus={(event) => event.currentTarget.select()}
        ref={inputRef}
        $large={large}
      />
      {hint && <Hint slot="description">{hint}</Hint>}
      <Fault>{fault}</Fault>
    </Field>
  );
}

const NativeSelect = styled.select`
  ${controlLook}
`;

const SelectFrame = styled.div`
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-width: 0;

  label {
    ${labelLook}
  }

  p {
    color: var(--over);
    font-size: 13.5px;
    font-weight: 560;
  }
`;

/** A choice from a list of words. The browser's own list is the best one on a phone and by keyboard. */
export function SelectInput({
  label,
  value,
  onChange,
  options,
  fault,
}: Common & { options: readonly { value: string; label: string }[] }) {
  const id = useId();
  return (
    <SelectFrame>
      <label htmlFor={id}>{label}</label>
      <NativeSelect
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : `${id}-fault`}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </NativeSelect>
      {fault !== undefined && <p id={`${id}-fault`}>{fault}</p>}
    </SelectFrame>
  );
}

export const FieldGrid = styled.div<{ $columns?: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $columns = 3 }) => $columns}, minmax(0, 1fr));
  gap: 14px 16px;
  align-items: start;

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
`;

export const fieldLabelLook = labelLook;
