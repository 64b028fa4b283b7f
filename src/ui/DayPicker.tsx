'use client';

import { parseDate } from '@internationalized/date';
import { CalendarDays, ChevronLeft, ChevronRight } from 'lucide-react';
import { Button } from 'react-aria-components/Button';
import {
  Calendar,
  CalendarCell,
  CalendarGrid,
  CalendarGridBody,
  CalendarGridHeader,
  CalendarHeaderCell,
  Heading,
} from 'react-aria-components/Calendar';
import {
  DateInput,
  DatePicker,
  DateSegment,
  FieldError,
  Group,
  Label,
  Popover,
  Text,
  type DateValue,
} from 'react-aria-components/DatePicker';
import { Dialog } from 'react-aria-components/Dialog';
import { useState } from 'react';
import styled from 'styled-components';
import { controlLook, faultLook, fieldLabelLook, hintLook, type DayProps } from './fields';

const Picker = styled(DatePicker)`
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-width: 0;

  .label {
    ${fieldLabelLook}
  }

  .control {
    ${controlLook}
    display: flex;
    align-items: center;
    justify-content: space-between;
    padding: 0 0 0 10px;
  }

  .control[data-invalid='true'] {
    border: 2px solid var(--over);
  }

  .control[data-focus-within='true'] {
    outline: 3px solid var(--focus);
    outline-offset: 1px;
  }

  /* One ring is enough: that of the control. */
  &[data-focus-visible],
  .typed[data-focus-visible] {
    outline: none;
  }

  .typed {
    display: flex;
    font-variant-numeric: tabular-nums;
  }

  .hint {
    ${hintLook}
  }

  .fault {
    ${faultLook}
  }
`;

const Segment = styled(DateSegment)`
  padding: 2px;
  border-radius: 2px;
  outline: none;

  &[data-placeholder='true'] {
    color: var(--ink-soft);
  }

  &[data-focused='true'] {
    background: var(--ink);
    color: var(--enamel-raised);
  }
`;

const Opener = styled(Button)`
  display: grid;
  place-items: center;
  width: 40px;
  min-height: 38px;
  border: none;
  background: none;
  color: var(--ink);
  cursor: pointer;
`;

const Month = styled(Calendar)`
  padding: 12px;
  border: 1px solid var(--rule-strong);
  background: var(--enamel-raised);
  color: var(--ink);

  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    margin-bottom: 6px;
  }

  h2 {
    font-size: 16px;
  }

  th {
    font-stretch: var(--narrow);
    font-weight: 560;
    color: var(--ink-soft);
  }
`;

const Day = styled(CalendarCell)`
  display: grid;
  place-items: center;
  width: 36px;
  height: 36px;
  cursor: pointer;

  &[data-outside-month='true'] {
    visibility: hidden;
  }

  &[data-selected='true'] {
    background: var(--ink);
    color: var(--enamel-raised);
    font-weight: 640;
  }

  &[data-focus-visible='true'] {
    outline: 3px solid var(--focus);
  }
`;

/**
 * A calendar day, typed figure by figure in the order of the reader's language, or picked from a month. The
 * form keeps it as yyyy-mm-dd; what is no day yet is empty there.
 */
export default function DayPicker({
  label,
  value,
  onChange,
  fault,
  hint,
  autoFocus = false,
}: DayProps) {
  // What is being typed stays in the field until something else changes the form.
  const [typed, setTyped] = useState({ kept: value, day: dayOf(value) });
  const onType = (day: DateValue | null) => {
    // A year on its way, 2 or 20, is no day yet.
    const kept = day === null || day.year < FIRST_YEAR ? '' : day.toString();
    setTyped({ kept, day });
    onChange(kept);
  };
  return (
    <Picker
      value={typed.kept === value ? typed.day : dayOf(value)}
      onChange={onType}
      isInvalid={fault !== undefined}
      validationBehavior="aria"
      shouldForceLeadingZeros
      autoFocus={autoFocus}
    >
      <Label className="label">{label}</Label>
      <Group className="control">
        <DateInput className="typed">{(segment) => <Segment segment={segment} />}</DateInput>
        <Opener>
          <CalendarDays size={18} aria-hidden />
        </Opener>
      </Group>
      {hint && (
        <Text slot="description" className="hint">
          {hint}
        </Text>
      )}
      <FieldError className="fault">{fault}</FieldError>
      <Popover>
        <Dialog>
          <Month>
            <header>
              <Opener slot="previous">
                <ChevronLeft size={18} aria-hidden />
              </Opener>
              <Heading />
              <Opener slot="next">
                <ChevronRight size={18} aria-hidden />
              </Opener>
            </header>
            <CalendarGrid>
              <CalendarGridHeader>
                {(name) => <CalendarHeaderCell>{name}</CalendarHeaderCell>}
              </CalendarGridHeader>
              <CalendarGridBody>{(date) => <Day date={date} />}</CalendarGridBody>
            </CalendarGrid>
          </Month>
        </Dialog>
      </Popover>
    </Picker>
  );
}

const FIRST_YEAR = 1900;

/** The day a text says; none where it is no day. */
function dayOf(text: string): DateValue | null {
  try {
    return parseDate(text);
  } catch {
    return null;
  }
}
