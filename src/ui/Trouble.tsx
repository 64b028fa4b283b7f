'use client';

import { Button } from './Button';
import { Notice } from './type';

/** Work off the main thread that failed: what to do, and a way to try again. */
export function Trouble({ words, onAgain }: { words: string; onAgain: () => void }) {
  return (
    <Notice role="alert">
      {words} <Button onPress={onAgain}>Try again</Button>
    </Notice>
  );
}
