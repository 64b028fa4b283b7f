'use client';

import {
  useId,
  useState,
  type InputHTMLAttributes,
  type KeyboardEvent,
  type ReactNode,
  type Ref,
} from 'react';
import styled, { css } from 'styled-components';
import type { LimitName } from '@/core/limits';
import { useNotation } from './notation';
import { nudge } from './nudge';
import { usePerson } from './person';
import { dialReading, figureReading } from './quantityUnit';

const labelLook = css`
  font-stretch: var(--narrow);
  font-weight: 560;
  font-size: 14px;
  color: var(--ink-soft);
`;

export const controlLook = css`
  width: 100%;
  min-height: var(--control);
  padding: var(--control-gap) 10px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  color: var(--ink);

  &[aria-invalid='true'] {
    border: 2px solid var(--over);
  }
`;

export const hintLook = css`
  overflow-wrap: anywhere;
  color: var(--ink-soft);
  font-size: 13.5px;
`;

export const faultLook = css`
  color: var(--over);
  font-size: 13.5px;
  font-weight: 560;
`;

/** Label, control, hint and fault of one field: the browser's own, joined by ids. */
const Frame = styled.div`
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-width: 0;

  label {
    ${labelLook}
  }

  .hint {
    ${hintLook}
  }

  .fault {
    ${faultLook}
  }
`;

const Control = styled.input`
  ${controlLook}
`;

const Area = styled.textarea`
  ${controlLook}
  min-height: 64px;
  resize: vertical;
`;

const Reading = styled.input<{ $large: boolean }>`
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

const NativeSelect = styled.select`
  ${controlLook}
`;

/** What every field is told. */
export interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** Fault of this field from the server or the form, worded for the user. */
  readonly fault?: string | undefined;
  readonly hint?: ReactNode;
}

/** What a field of a calendar day is told. */
export interface DayProps extends FieldProps {
  readonly autoFocus?: boolean;
}

/** What ties a control to its label, its hint and its fault. */
interface Tied {
  readonly id: string;
  readonly 'aria-invalid': boolean | undefined;
  readonly 'aria-describedby': string | undefined;
}

function Field({
  label,
  hint,
  fault,
  children,
}: Pick<FieldProps, 'hint' | 'fault'> & {
  label: ReactNode;
  children: (tied: Tied) => ReactNode;
}) {
  const id = useId();
  const isFaulty = fault !== undefined;
  const described = [hint && `${id}-hint`, isFaulty && `${id}-fault`].filter(Boolean).join(' ');
  return (
    <Frame>
      <label htmlFor={id}>{label}</label>
      {children({
        id,
        'aria-invalid': isFaulty || undefined,
        'aria-describedby': described || undefined,
      })}
      {hint && (
        <span className="hint" id={`${id}-hint`}>
          {hint}
        </span>
      )}
      {isFaulty && (
        <span className="fault" id={`${id}-fault`}>
          {fault}
        </span>
      )}
    </Frame>
  );
}

type TextAttributes = Pick<
  InputHTMLAttributes<HTMLInputElement>,
  'autoFocus' | 'type' | 'autoComplete'
>;

/** One line of text. */
export function TextInput({
  label,
  value,
  onChange,
  fault,
  hint,
  type = 'text',
  ...rest
}: FieldProps & TextAttributes) {
  return (
    <Field label={label} hint={hint} fault={fault}>
      {(tied) => (
        <Control
          {...rest}
          {...tied}
          type={type}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}

/** Several lines of text. */
export function TextAreaInput({
  label,
  value,
  onChange,
  fault,
  hint,
  rows = 2,
}: FieldProps & { rows?: number }) {
  return (
    <Field label={label} hint={hint} fault={fault}>
      {(tied) => (
        <Area
          {...tied}
          rows={rows}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}

export interface QuantityProps extends FieldProps {
  readonly quantity: LimitName;
  /** What one press of an arrow key changes. */
  readonly step: number;
  readonly large?: boolean;
  readonly inputRef?: Ref<HTMLInputElement>;
  readonly isRequired?: boolean;
}

/**
 * A measured figure in the person's units, a dial in its grinder's notation: arrows nudge it by the scale's step, a decimal comma is
 * read too. The form keeps grams and °C; what was typed stays as typed until something else changes it.
 */
export function QuantityInput(props: QuantityProps) {
  const { label, value, onChange, fault, hint, quantity, step, large = false, inputRef } = props;
  const { units } = usePerson();
  const notation = useNotation();
  const reading = quantity === 'dial' ? dialReading(notation) : figureReading(quantity, units);
  const [typed, setTyped] = useState<{ kept: string; shown: string } | null>(null);
  const shown = typed?.kept === value ? typed.shown : reading.show(value);
  const onType = (text: string) => {
    const kept = reading.keep(text);
    setTyped({ kept, shown: text });
    onChange(kept);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    // Leaving the field gives the single keys back to the bench.
    if (event.key === 'Escape') event.currentTarget.blur();
    const direction = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (direction === undefined || event.altKey) return;
    event.preventDefault();
    const change = direction * reading.stepOf(step) * (event.shiftKey ? 10 : 1);
    onChange(nudge(value, change, quantity));
  };
  return (
    <Field
      label={
        <>
          {label}
          {reading.label && `, ${reading.label}`}
        </>
      }
      hint={hint}
      fault={fault && (reading.faultOf(shown) ?? fault)}
    >
      {(tied) => (
        <Reading
          {...tied}
          type="text"
          inputMode={reading.inputMode}
          autoComplete="off"
          value={shown}
          onChange={(event) => onType(event.target.value)}
          onKeyDown={onKeyDown}
          onFocus={(event) => event.currentTarget.select()}
          ref={inputRef}
          $large={large}
        />
      )}
    </Field>
  );
}

/** A choice from a list of words. The browser's own list is the best one on a phone and by keyboard. */
export function SelectInput({
  label,
  value,
  onChange,
  options,
  fault,
  hint,
  controlRef,
}: FieldProps & {
  options: readonly { value: string; label: string }[];
  controlRef?: Ref<HTMLSelectElement>;
}) {
  return (
    <Field label={label} hint={hint} fault={fault}>
      {(tied) => (
        <NativeSelect
          {...tied}
          ref={controlRef}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        >
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </NativeSelect>
      )}
    </Field>
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
