'use client';

import type { Commands } from '@/core/command/inputs';
import { Button, QuietButton } from '@/ui/Button';
import { useDialWords } from '@/ui/notation';
import { useUnits } from '@/ui/person';
import { discard, tryAgain, type Entry, type Trouble } from '@/ui/outbox';
import { Notice } from '@/ui/type';

const TROUBLE_WORDS: Record<Trouble, string> = {
  unreached:
    'The server is not reached. What you log is kept on this device and goes up by itself, once and in order.',
  signedOut:
    'You are signed out. What you log is kept on this device: sign in again in another tab, and it goes up.',
  storage:
    'The disk of the server is full or closed to it: nothing was stored there. What you log is kept on this device and goes up by itself once there is room.',
};

/** Shots that are not up yet, and those the server would not take after they had waited. */
export function Waiting({
  waiting,
  trouble,
}: {
  waiting: readonly Entry[];
  trouble: Trouble | null;
}) {
  const { mass } = useUnits();
  const written = useDialWords();
  if (waiting.length === 0) return null;
  const words = ({ input }: Entry) => {
    const { dial, doseG, yieldG, timeS } = input as Commands['logShot']['asks'];
    return `${written(Number(dial))}, ${mass(Number(doseG))} → ${mass(Number(yieldG))}, ${String(timeS)} s`;
  };
  const refused = waiting.filter(({ faults }) => faults);
  const kept = waiting.filter(({ faults }) => !faults);
  return (
    <div role="status">
      {/* One that is just being sent is not worth a word. */}
      {trouble && kept.length > 0 && (
        <Notice>
          <strong>
            {kept.length === 1 ? '1 shot waits' : `${kept.length} shots wait`} to go up:
          </strong>{' '}
          {kept.map(words).join(' · ')}. {TROUBLE_WORDS[trouble]} The advice counts them then.
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
