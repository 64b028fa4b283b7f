'use client';

import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useTransition } from 'react';

/** Changes the question in the address; an empty value takes it back. */
export function useQuestion() {
  const router = useRouter();
  const path = usePathname();
  const search = useSearchParams();
  const [isChoosing, startChoice] = useTransition();
  const choose = (changes: Readonly<Record<string, string>>) => {
    const next = new URLSearchParams(search);
    for (const [key, value] of Object.entries(changes)) {
      if (value === '') next.delete(key);
      else next.set(key, value);
    }
    startChoice(() => router.replace(`${path}?${next}`, { scroll: false }));
  };
  return { choose, isChoosing };
}
