/** Faults in words: the core names what is wrong, what stands above it may have worded it already. */
import type { CodedFault, Fault, UserFault } from '@/core/errors';
import faults from './messages/en/faults.json' with { type: 'json' };
import { speaker } from './speaker';

const say = speaker({ faults });

export const inWords = (message: CodedFault['message']): string =>
  typeof message === 'string' ? message : say(message);

export const wordedFaults = (all: readonly CodedFault[]): Fault[] =>
  all.map(({ field, message }) => ({ field, message: inWords(message) }));

/** All that is wrong, on one line. */
export const faultWords = ({ faults: all }: UserFault): string =>
  all.map(({ message }) => inWords(message)).join(' ');
