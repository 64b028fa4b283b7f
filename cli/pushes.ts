import type { CodedMessage } from '@/core/message';
import { coded } from '@/words/adviceWords';

/** `kb` calls contributions "pushes", as it always has: those who read its answers rely on it. */
export function withPushes<T extends { readonly contributions: unknown }>({
  contributions,
  ...answer
}: T) {
  return { ...answer, pushes: contributions as T['contributions'] };
}

/** A proposal as `kb` prints it. */
export const printedProposal = <
  T extends { readonly contributions: unknown; readonly warnings: readonly CodedMessage[] },
>({
  warnings,
  ...answer
}: T) => ({ ...withPushes(answer), warnings: coded(warnings) });
