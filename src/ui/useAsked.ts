'use client';

import { useCallback, useEffect, useEffectEvent, useState } from 'react';

/** What a worker was asked for: not there yet, there, or failed with words and a way to ask again. */
export interface Asked<T> {
  readonly answer: T | null;
  /** What went wrong and what to do; null while nothing did. */
  readonly trouble: string | null;
  readonly askAgain: () => void;
}

/** Asks when `key` changes; an answer that comes after the next question is not shown. */
export function useAsked<T>(key: string, ask: () => Promise<T>): Asked<T> {
  const [found, setFound] = useState<{ key: string; answer: T } | null>(null);
  const [failed, setFailed] = useState<{ key: string; words: string } | null>(null);
  const [tries, setTries] = useState(0);
  const question = useEffectEvent(ask);
  useEffect(() => {
    let isGone = false;
    question().then(
      (answer) => !isGone && setFound({ key, answer }),
      (error: Error) => !isGone && setFailed({ key, words: error.message }),
    );
    return () => {
      isGone = true;
    };
  }, [key, tries]);
  const askAgain = useCallback(() => {
    setFailed(null);
    setTries((before) => before + 1);
  }, []);
  return {
    answer: found?.key === key ? found.answer : null,
    trouble: failed?.key === key ? failed.words : null,
    askAgain,
  };
}
