'use client';

import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import styled from 'styled-components';
import { LIMITS } from '@/core/limits';
import { MOST, type Step } from '@/core/programme/step';
import type { Outline, Tread } from '@/core/programme/outline';
import { stepWords } from '@/core/programme/words';
import { LEVEL_STEP } from './stepText';

const Group = styled.g`
  cursor: ns-resize;
  outline: none;
  touch-action: none;

  .end {
    cursor: ew-resize;
  }

  .focus {
    display: none;
  }

  &:focus-visible .focus {
    display: inline;
  }
`;

const KNOB = 9;
/** A tread is at least this high to a finger. */
const LEAST_HIT = 26;

type Grip = 'level' | 'end';

/** One step to take hold of: a knob on its level and one at its end. */
export function StepHandle({
  number,
  step,
  isLast,
  isInHand,
  focusOn,
  outline,
  tread,
  onTake,
  onKeyDown,
  onDrag,
}: {
  number: number;
  step: Step;
  isLast: boolean;
  isInHand: boolean;
  /** Anything new: the focus comes here. */
  focusOn: object | null;
  outline: Outline;
  tread: Tread;
  onTake: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
  onDrag: (level: number, seconds: number) => void;
}) {
  const group = useRef<SVGGElement>(null);
  useEffect(() => {
    if (focusOn !== null) group.current?.focus();
  }, [focusOn]);
  const grip = useRef<{ of: Grip; x: number; y: number } | null>(null);
  const { drive, level, seconds } = step;
  const { fromX, toX, topY, midY } = tread;
  const floor = outline.y(drive, 0);
  const middle = (fromX + toX) / 2;
  const perUnit = floor - outline.y(drive, 1);
  const perSecond = outline.x(1) - outline.x(0);

  const take = (of: Grip, event: PointerEvent<SVGElement>) => {
    onTake();
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { of, ...placeOf(event) };
  };
  const move = (event: PointerEvent<SVGElement>) => {
    const held = grip.current;
    if (!held) return;
    const place = placeOf(event);
    const by =
      held.of === 'level'
        ? Math.round((held.y - place.y) / perUnit / LEVEL_STEP) * LEVEL_STEP
        : Math.round((place.x - held.x) / perSecond);
    if (by === 0) return;
    grip.current = { ...held, ...place };
    if (held.of === 'level') onDrag(within(level + by, 0, MOST[drive]), seconds);
    else onDrag(level, within(seconds + by, LIMITS.stepS.min, LIMITS.stepS.max));
  };
  const leave = () => (grip.current = null);
  return (
    <Group
      ref={group}
      tabIndex={0}
      role="slider"
      aria-orientation="vertical"
      aria-label={`Step ${number}`}
      aria-valuemin={0}
      aria-valuemax={MOST[drive]}
      aria-valuenow={level}
      aria-valuetext={stepWords(step, isLast)}
      onFocus={onTake}
      onKeyDown={onKeyDown}
      onPointerMove={move}
      onPointerUp={leave}
      onPointerCancel={leave}
    >
      <rect
        x={fromX}
        y={Math.min(topY - KNOB, floor - LEAST_HIT)}
        width={Math.max(1, toX - fromX)}
        height={Math.max(LEAST_HIT, floor - topY + KNOB)}
        fill="transparent"
        onPointerDown={(event) => take('level', event)}
      />
      {isInHand && (
        <path
          d={tread.edge}
          stroke="var(--copper)"
          strokeWidth={4}
          fill="none"
          pointerEvents="none"
        />
      )}
      <circle
        cx={middle}
        cy={midY}
        r={KNOB}
        fill={isInHand ? 'var(--copper)' : 'var(--enamel-raised)'}
        stroke={isInHand ? 'var(--copper)' : 'currentColor'}
        strokeWidth={2}
        pointerEvents="none"
      />
      <text
        x={middle}
        y={midY + 4.5}
        textAnchor="middle"
        pointerEvents="none"
        style={{ fill: isInHand ? 'var(--copper-ink)' : 'var(--ink)', fontWeight: 680 }}
      >
        {number}
      </text>
      {!isLast && (
        <rect
          className="end"
          x={toX - 6}
          y={(topY + floor) / 2 - LEAST_HIT / 2}
          width={12}
          height={LEAST_HIT}
          fill={isInHand ? 'var(--copper)' : 'currentColor'}
          opacity={isInHand ? 0.9 : 0.25}
          onPointerDown={(event) => take('end', event)}
        />
      )}
      <rect
        className="focus"
        x={fromX + 1}
        y={Math.min(topY - KNOB - 4, floor - LEAST_HIT)}
        width={Math.max(1, toX - fromX - 2)}
        height={Math.max(LEAST_HIT, floor - topY + KNOB + 8)}
        fill="none"
        stroke="var(--focus)"
        strokeWidth={3}
        pointerEvents="none"
      />
    </Group>
  );
}

/** Where the pointer is, in the units of the drawing. */
function placeOf(event: PointerEvent<SVGElement>): { x: number; y: number } {
  const matrix = event.currentTarget.ownerSVGElement?.getScreenCTM();
  const point = new DOMPoint(event.clientX, event.clientY);
  const { x, y } = matrix ? point.matrixTransform(matrix.inverse()) : point;
  return { x, y };
}

function within(value: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, value));
}
