/** A programme while it is written: every figure as typed. What the keys and buttons do to it. No DOM. */
import type { TypedFigure } from '@/core/entity/field';
import { LIMITS } from '@/core/limits';
import {
  DRIVES,
  isPause,
  MOST,
  MOST_STEPS,
  type Drive,
  type Programme,
  type Step,
} from '@/core/programme/step';
import { nudge } from '../nudge';
import { readNumber } from '@/core/readNumber';

export interface StepText {
  readonly drive: Drive;
  readonly level: string;
  readonly seconds: string;
  readonly ramp: boolean;
  /** Empty for no limit. */
  readonly limitBar: string;
}

export type ProgrammeText = readonly StepText[];

/** What one press of an arrow changes. */
export const LEVEL_STEP = 0.5;
export const SECONDS_STEP = 1;

export function textOf(programme: Programme): ProgrammeText {
  return programme.map(({ drive, level, seconds, ramp, limitBar }) => ({
    drive,
    level: String(level),
    seconds: String(seconds),
    ramp,
    limitBar: limitBar === undefined ? '' : String(limitBar),
  }));
}

/** A step as a form sends it. */
export interface SentStep {
  readonly drive: string;
  readonly level: TypedFigure;
  readonly seconds: TypedFigure;
  readonly ramp: boolean;
  readonly limitBar?: TypedFigure;
}

/** What is sent: figures as numbers, what is no figure as it was typed, for the server to say so. */
export function inputOf(text: ProgrammeText): SentStep[] {
  return text.map(({ drive, level, seconds, ramp, limitBar }) => ({
    drive,
    level: readNumber(level),
    seconds: readNumber(seconds),
    ramp,
    ...(drive === 'flow' && limitBar !== '' && { limitBar: readNumber(limitBar) }),
  }));
}

/** What is drawn: while a figure is half typed, the nearest that can be. */
export function drawnOf(text: ProgrammeText): Programme {
  return text.map((step): Step => {
    const held = (value: string, least: number, most: number) => {
      const figure = readNumber(value);
      return typeof figure === 'number' ? Math.min(most, Math.max(least, figure)) : least;
    };
    const limit = readNumber(step.limitBar);
    return {
      drive: step.drive,
      level: held(step.level, 0, MOST[step.drive]),
      seconds: held(step.seconds, LIMITS.stepS.min, LIMITS.stepS.max),
      ramp: step.ramp,
      ...(step.drive === 'flow' &&
        typeof limit === 'number' && {
          limitBar: held(step.limitBar, LIMITS.pressureBar.min, MOST.pressure),
        }),
    };
  });
}

export function changed(text: ProgrammeText, at: number, part: Partial<StepText>): ProgrammeText {
  return text.map((step, i) => (i === at ? { ...step, ...part } : step));
}

/** Raises or lowers a step, within what its pump can do. */
export function lifted(text: ProgrammeText, at: number, by: number): ProgrammeText {
  const { drive, level } = text[at]!;
  const next = Number(nudge(level, by, 'stepLevel'));
  return changed(text, at, { level: String(Math.min(MOST[drive], next)) });
}

export function stretched(text: ProgrammeText, at: number, byS: number): ProgrammeText {
  return changed(text, at, { seconds: nudge(text[at]!.seconds, byS, 'stepS') });
}

/** The same height of the scale in the other unit means nothing: it begins at a usual one. */
const USUAL: Record<Drive, string> = { pressure: '9', flow: '2.5' };

export function switched(text: ProgrammeText, at: number): ProgrammeText {
  const step = text[at]!;
  const drive = DRIVES.find((other) => other !== step.drive)!;
  const level = readNumber(step.level) === 0 ? '0' : USUAL[drive];
  return changed(text, at, { drive, level, ...(drive === 'pressure' && { limitBar: '' }) });
}

/** Room for another step? */
export function mayAdd(text: ProgrammeText): boolean {
  return text.length < MOST_STEPS;
}

/** Another step after this one, like it; after a pause, the pressure every machine knows. */
export function added(text: ProgrammeText, at: number): ProgrammeText {
  if (!mayAdd(text)) return text;
  const like = text[at]!;
  const fresh: StepText = isPause(drawnOf([like])[0]!)
    ? { drive: 'pressure', level: USUAL.pressure, seconds: '10', ramp: false, limitBar: '' }
    : { ...like, seconds: '10', ramp: false };
  return [...text.slice(0, at + 1), fresh, ...text.slice(at + 1)];
}

/** The last one left stays: a programme has a step. */
export function removed(text: ProgrammeText, at: number): ProgrammeText {
  return text.length === 1 ? text : text.filter((_, i) => i !== at);
}
