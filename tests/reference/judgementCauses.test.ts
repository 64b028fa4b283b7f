/** Causes outside the grind, and what is offered in one press: judged as an experienced lead would. */
import { check, GRINDER, liked, type Row } from '../support/judged';

const ROWS: Readonly<Record<string, Row>> = {
  // Causes outside the grind.
  'the first shot after a pause, a second slow where it ran well': {
    shots: [{ timeS: 28 }, { timeS: 31.2, isFirst: true }],
    status: 'prep',
    way: 'stay',
    why: ['firstAfterPause'],
  },
  'the first shot after a pause, far off': {
    shots: [{ timeS: 28 }, { timeS: 38, isFirst: true }],
    status: 'prep',
    why: ['odd'],
  },
  'the very first shot of all is always after a pause': {
    shots: [{ timeS: 31.2, isFirst: true }],
    status: 'grind',
    way: 'coarser',
  },
  'a damp day is named beside the move': {
    shots: [{ timeS: 22, seen: ['dampDay'] }],
    status: 'grind',
    way: 'finer',
    why: ['tooFast', 'dampDay'],
  },
  'everybody likes a slow cup: the window follows': {
    shots: [{ timeS: 34, taste: { ...liked, liking: 9 } }],
    status: 'grind',
    or: /move the window to 32-36 s/,
    window: [32, 36],
  },
  'a cup that is merely right does not move a window of time': {
    shots: [{ timeS: 34, taste: { ...liked, liking: 7 } }],
    status: 'grind',
    window: undefined,
  },
  'one step jumps over the window, the dose is locked: the trim is offered': {
    shots: [{ timeS: 23.5 }, { dial: 9, timeS: 33.5, purgeG: 6 }, { timeS: 23.6, purgeG: 6 }],
    also: { grinder: { ...GRINDER, secondsPerStep: 10 } },
    target: { timeS: [27, 29] },
    status: 'grind',
    offersTrim: true,
  },
};

it.each(Object.entries(ROWS))('%s', (_name, row) => check(row));
