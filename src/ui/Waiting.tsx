'use client';

import { Button, QuietButton } from './Button';
import { discard, tryAgain, type Entry, type Trouble } from './outbox';
import { Notice } from './type';

const TROUBLE_WORDS: Record<Trouble, string> = {
  unreached:
    'The server is not reached. What you enter is kept on this device and goes up by itself, once and in order.',
  signedOut:
    'You are signed out. What you enter is kept on this device: sign in again in another tab, and it goes up.',
  storage:
    'The disk of the server is full or closed to it: nothing was stored there. What you enter is kept on this device and goes up by itself once there is room.',
};

/** Entries that are not up yet, and those the server would not take after they had waited. */
export function Waiting({
  waiting,
  trouble,
  one,
  words,
}: {
  waiting: readonly Entry[];
  trouble: Trouble | null;
  /** What one of them is. */
  one: 'shot' | 'cup';
  /** An entry in words. */
  words: (entry: Entry) => string;
}) {
  const refused = waiting.filter(({ faults }) => faults);
  // One that is just being sent is not worth a word.
  const kept = trouble ? waiting.filter(({ faults }) => !faults) : [];
  if (refused.length + kept.length === 0) return null;
  return (
    <div role="status">
      {kept.length > 0 && trouble && (
        <Notice>
          <strong>
            {kept.length === 1 ? `1 ${one} waits` : `${kept.length} ${one}s wait`} to go up:
          </strong>{' '}
          {kept.map(words).join(' · ')}. {TROUBLE_WORDS[trouble]} The advice counts{' '}
          {kept.length === 1 ? 'it' : 'them'} then.
        </Notice>
      )}
      {refused.map((entry) => (
        <Notice key={entry.id}>
          The server would not take {words(entry)}:{' '}
          {entry.faults?.map(({ message }) => message).join(' ')} It is kept here.{' '}
          <Button onPress={() => void tryAgain(entry.id)}>Send it again</Button>{' '}
          <QuietButton onPress={() => void discard(entry.id)}>Give it up</QuietButton>
        </Notice>
      ))}
    </div>
  );
}
