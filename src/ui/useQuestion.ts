'use client';

import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useTransition } from 'react';

/**
 * Changes the question in the address; an empty value takes it back. Back undoes a choice; letters that are
 * typed one by one are one step.
 */
export function useQuestion() {
  const router = useRouter();
  const path = usePathname();
  const search = useSearchParams();
  const [isChoosing, startChoice] = useTransition();
  const choose = (changes: Readonly<Record<string, string>>, { isTyped = false } = {}) => {
    const next = new URLSearchParams(search);
    for (const [key, value] of Object.entries(changes)) {
      if (value === '') next.delete(key);
      else next.set(key, value);
    }
    const go = isTyped ? router.replace : router.push;
    startChoice(() => go(`${path}?${next}`, { scroll: false }));
  };
  return { choose, isChoosing };
}
