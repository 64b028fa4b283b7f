'use client';

import { useState, type KeyboardEvent, type ReactNode } from 'react';
import styled from 'styled-components';
import { DRIVE_UNITS, MOST } from '@/core/programme/step';
import { stepWords } from '@/core/programme/words';
import { Button } from '../Button';
import { Choice } from '../choices';
import { QuantityInput } from '../fields';
import { Key, labelText, Small } from '../type';
import { ProgrammeCurve, type ProgrammeCurveProps } from './ProgrammeCurve';
import { StepHandle } from './StepHandle';
import {
  added,
  changed,
  drawnOf,
  LEVEL_STEP,
  lifted,
  mayAdd,
  removed,
  SECONDS_STEP,
  stretched,
  switched,
  type ProgrammeText,
} from './stepText';

const Stack = styled.div`
  display: grid;
  gap: 10px;
  container-type: inline-size;
`;

const Fields = styled.div`
  display: grid;
  grid-template-columns: max-content max-content repeat(3, minmax(80px, 150px));
  gap: 8px 14px;
  align-items: start;
  padding: 10px 0 12px;
  border-bottom: 1px solid var(--rule);

  @container (max-width: 700px) {
    grid-template-columns: repeat(3, minmax(0, 1fr));

    > :nth-child(-n + 2) {
      grid-column: 1 / -1;
    }
  }
`;

const Steps = styled.ol`
  display: grid;
  gap: 1px;
  list-style: none;
`;

/** A step in words: pressing it takes it in hand. */
const StepLine = styled.button.attrs({ type: 'button' })`
  display: flex;
  gap: 12px;
  width: 100%;
  padding: 5px 8px;
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  color: var(--ink);
  text-align: left;
  cursor: pointer;

  span:first-child {
    ${labelText}
    min-width: 48px;
  }

  &[aria-current] {
    border-left-color: var(--copper);
    background: var(--enamel-raised);
    font-weight: 600;
  }
`;

const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
`;

const DRIVE_OPTIONS = [
  { value: 'pressure', label: 'Pressure' },
  { value: 'flow', label: 'Flow' },
] as const;
const WAY_OPTIONS = [
  { value: 'once', label: 'At once' },
  { value: 'evenly', label: 'Evenly' },
] as const;

export interface ProgrammeEditorProps {
  readonly text: ProgrammeText;
  readonly onChange: (text: ProgrammeText) => void;
  readonly windowS?: ProgrammeCurveProps['windowS'];
  /** Fault of a field, as the server names it under `steps`. */
  readonly faultOf: (field: string) => string | undefined;
  /** Drawn over the treads. */
  readonly over?: ProgrammeCurveProps['children'];
  /** Beside the buttons. */
  readonly children?: ReactNode;
}

/**
 * Steps of a programme, drawn and in words; both are the same steps. On the drawing arrows raise and
 * stretch the step in hand, a pointer drags it; the fields take exact figures.
 */
export function ProgrammeEditor(props: ProgrammeEditorProps) {
  const { text, onChange, windowS, faultOf, over, children } = props;
  const [inHand, setInHand] = useState(0);
  const [past, setPast] = useState<readonly ProgrammeText[]>([]);
  /** Where the keys made or left a step the focus follows; anew each time. */
  const [focusOn, setFocusOn] = useState<{ readonly at: number } | null>(null);
  const at = Math.min(inHand, text.length - 1);
  const step = text[at]!;
  const programme = drawnOf(text);
  const isLast = at === text.length - 1;
  /** A change that loses something can be taken back. */
  const act = (next: ProgrammeText, hand = at) => {
    setPast([...past, text]);
    onChange(next);
    setInHand(hand);
  };
  const takeBack = () => {
    onChange(past.at(-1)!);
    setPast(past.slice(0, -1));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const change = keyChange(event, text, at);
    if (change === null) return;
    event.preventDefault();
    if (change.isKept) onChange(change.text);
    else {
      act(change.text, change.at);
      setFocusOn({ at: change.at });
    }
  };
  const set = (part: Parameters<typeof changed>[2]) => onChange(changed(text, at, part));
  return (
    <Stack>
      <ProgrammeCurve programme={programme} windowS={windowS}>
        {(outline) => (
          <>
            {over?.(outline)}
            {programme.map((drawn, i) => (
              <StepHandle
                key={i}
                number={i + 1}
                step={drawn}
                isLast={i === programme.length - 1}
                isInHand={i === at}
                focusOn={focusOn?.at === i ? focusOn : null}
                outline={outline}
                tread={outline.treads[i]!}
                onTake={() => setInHand(i)}
                onKeyDown={onKeyDown}
                onDrag={(level, seconds) =>
                  onChange(changed(text, i, { level: String(level), seconds: String(seconds) }))
                }
              />
            ))}
          </>
        )}
      </ProgrammeCurve>
      <Small>
        On a step: <Key>↑</Key> <Key>↓</Key> level, <Key>←</Key> <Key>→</Key> seconds, <Key>F</Key>{' '}
        flow or pressure, <Key>E</Key> evenly or at once, <Key>+</Key> another after it,{' '}
        <Key>Delete</Key> removes it. <Key>Tab</Key> goes to the next step.
      </Small>
      <Steps aria-label="Steps in words">
        {programme.map((drawn, i) => (
          <li key={i}>
            <StepLine aria-current={i === at || undefined} onClick={() => setInHand(i)}>
              <span>Step {i + 1}</span>
              <span>{stepWords(drawn, i === programme.length - 1)}</span>
            </StepLine>
          </li>
        ))}
      </Steps>
      <Fields role="group" aria-label={`Step ${at + 1}`}>
        <Choice
          label={`Step ${at + 1} sets`}
          value={step.drive}
          onChange={(drive) => drive !== step.drive && onChange(switched(text, at))}
          options={DRIVE_OPTIONS}
        />
        <Choice
          label="Goes there"
          value={step.ramp ? 'evenly' : 'once'}
          onChange={(way) => set({ ramp: way === 'evenly' })}
          options={WAY_OPTIONS}
        />
        <QuantityInput
          label={`Level, ${DRIVE_UNITS[step.drive]}`}
          quantity="stepLevel"
          step={LEVEL_STEP}
          value={step.level}
          onChange={(level) => set({ level })}
          hint={step.drive === 'flow' ? '0 is a pause' : `0-${MOST.pressure}`}
          fault={faultOf(`steps.${at}.level`)}
        />
        <QuantityInput
          label="For"
          quantity="stepS"
          step={SECONDS_STEP}
          value={step.seconds}
          onChange={(seconds) => set({ seconds })}
          hint={lastHint(isLast, step.ramp)}
          fault={faultOf(`steps.${at}.seconds`)}
        />
        {step.drive === 'flow' && (
          <QuantityInput
            label="At most"
            quantity="pressureBar"
            step={LEVEL_STEP}
            value={step.limitBar}
            onChange={(limitBar) => set({ limitBar })}
            hint="empty: no limit"
            fault={faultOf(`steps.${at}.limitBar`)}
          />
        )}
      </Fields>
      <Actions>
        <Button onPress={() => act(added(text, at), at + 1)} isDisabled={!mayAdd(text)}>
          Add a step after it
        </Button>
        <Button onPress={() => act(removed(text, at))} isDisabled={text.length === 1}>
          Remove step {at + 1}
        </Button>
        {past.length > 0 && <Button onPress={takeBack}>Take that back</Button>}
        {children}
      </Actions>
    </Stack>
  );
}

function lastHint(isLast: boolean, ramp: boolean): string {
  if (!isLast) return '';
  return ramp ? 'then on to target weight' : 'on to target weight';
}

interface KeyChange {
  readonly text: ProgrammeText;
  /** The step in hand afterwards. */
  readonly at: number;
  /** A nudge: the next one takes it back. */
  readonly isKept: boolean;
}

/** What a key does to the step in hand; null for any other key. */
function keyChange(
  { key, shiftKey, ctrlKey, metaKey, altKey }: KeyboardEvent,
  text: ProgrammeText,
  at: number,
): KeyChange | null {
  if (ctrlKey || metaKey || altKey) return null;
  const far = shiftKey ? 4 : 1;
  const kept = (next: ProgrammeText): KeyChange => ({ text: next, at, isKept: true });
  switch (key) {
    case 'ArrowUp':
      return kept(lifted(text, at, far * LEVEL_STEP));
    case 'ArrowDown':
      return kept(lifted(text, at, -far * LEVEL_STEP));
    case 'ArrowRight':
      return kept(stretched(text, at, far * SECONDS_STEP));
    case 'ArrowLeft':
      return kept(stretched(text, at, -far * SECONDS_STEP));
    case 'e':
    case 'E':
      return kept(changed(text, at, { ramp: !text[at]!.ramp }));
    case 'f':
    case 'F':
      return { text: switched(text, at), at, isKept: false };
    case '+':
      return { text: added(text, at), at: Math.min(at + 1, text.length), isKept: false };
    case 'Delete':
      return { text: removed(text, at), at: Math.max(0, at - 1), isKept: false };
    default:
      return null;
  }
}
