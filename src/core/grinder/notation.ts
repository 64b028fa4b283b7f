/**
 * How a grinder writes its settings: plain numbers, turns, a number with a letter ("9 C") or turns with
 * marks ("1 turn 6"). The program counts a dial in one figure: letters and marks from the lowest one on, so
 * that one step is 1; words alone know the notation. Plain data and text, safe to load in a browser.
 */
import { readNumber } from '../readNumber';
import type { DialNotation } from '../vocabulary';
import { roundDial } from './dial';
import { fault, type Message } from '../message';

/** How many letters or marks lie between two numbers. */
export const DIVISIONS = { letters: [2, 26], marks: [2, 200] } as const;

export interface Notation {
  readonly notation?: DialNotation | undefined;
  readonly divisions?: number | undefined;
}

const FIRST_LETTER = 'A'.charCodeAt(0);

/** How many of the counted figure make one number of the dial: another count is another scale. */
export function perNumber({ notation, divisions = 1 }: Notation): number {
  return notation === 'letters' || notation === 'marks' ? divisions : 1;
}

/** What a step or a shift is counted in, where it is no number of the dial. */
export function countedIn({ notation }: Notation): '' | 'letters' | 'marks' | 'turns' {
  return notation === undefined || notation === 'numbers' ? '' : notation;
}

/** "9.5", "1.5 turns", "9 C", "1 turn 6": a dial as this grinder shows it; between two letters, the nearer. */
export function dialWords({ notation = 'numbers', divisions = 1 }: Notation, dial: number): string {
  if (notation === 'numbers') return String(roundDial(dial));
  if (notation === 'turns') return `${roundDial(dial)} ${turnWord(dial)}`;
  const counted = Math.round(dial);
  const whole = Math.floor(counted / divisions);
  const part = counted - whole * divisions;
  return notation === 'letters'
    ? `${whole} ${String.fromCharCode(FIRST_LETTER + part)}`
    : `${whole} ${turnWord(whole)} ${part}`;
}

const turnWord = (turns: number) => (turns === 1 ? 'turn' : 'turns');

/** A dial as people type it; undefined when empty, the text itself when this grinder has no such setting. */
export function readDial(
  { notation = 'numbers', divisions = 1 }: Notation,
  text: string,
): number | string | undefined {
  const typed = text.trim();
  if (typed === '') return undefined;
  switch (notation) {
    case 'numbers':
      return readNumber(typed);
    case 'turns': {
      const turns = readNumber(typed.replace(/\s*t(urns?)?$/i, ''));
      return typeof turns === 'number' ? turns : typed;
    }
    case 'letters': {
      const found = /^(-?\d+)\s*([a-z])$/i.exec(typed);
      const part = found ? found[2]!.toUpperCase().charCodeAt(0) - FIRST_LETTER : divisions;
      return found && part < divisions ? Number(found[1]) * divisions + part : typed;
    }
    case 'marks': {
      const found = /^(-?\d+)(?:\s*t(?:urns?)?)?(?:(?:\s+|\s*\+\s*)(\d+))?$/i.exec(typed);
      const part = found ? Number(found[2] ?? 0) : divisions;
      return found && part < divisions ? Number(found[1]) * divisions + part : typed;
    }
  }
}

/** Why a typed dial is not one of this grinder's, and how to write it; null where it is understood. */
export function dialFault(grinder: Notation, text: string): Message | null {
  if (typeof readDial(grinder, text) !== 'string') return null;
  const { notation = 'numbers', divisions = 1 } = grinder;
  const last = String.fromCharCode(FIRST_LETTER + divisions - 1);
  const values = { typed: text.trim(), notation, last, divisions, highest: divisions - 1 };
  return fault('dial', values);
}

/** "9 C → 9 E", or "9 C" where the dial stays. */
export function dialMoveWords(grinder: Notation, from: number, to: number): string {
  const words = dialWords(grinder, from);
  return from === to ? words : `${words} → ${dialWords(grinder, to)}`;
}

/** "0 A to 11 H": the settings a grinder has. */
export function dialRangeWords({
  min,
  max,
  ...grinder
}: Notation & { readonly min: number; readonly max: number }): string {
  const [low, high] = [dialWords(grinder, min), dialWords(grinder, max)];
  return (grinder.notation ?? 'numbers') === 'numbers' ? `${low}-${high}` : `${low} to ${high}`;
}
