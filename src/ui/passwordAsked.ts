/**
 * The password once more, asked in the middle of something: a command that was refused for want of it
 * waits here until it was given or the person let it be. Outside React; `ProofDialog` shows it.
 */
let waiting: ((isGiven: boolean) => void) | null = null;
const listeners = new Set<() => void>();

function tell(): void {
  for (const listener of listeners) listener();
}

/** Resolves with whether the password was given. */
export function askPasswordAgain(): Promise<boolean> {
  waiting?.(false);
  return new Promise((resolve) => {
    waiting = resolve;
    tell();
  });
}

export function answerPasswordAgain(isGiven: boolean): void {
  waiting?.(isGiven);
  waiting = null;
  tell();
}

export const isPasswordAsked = (): boolean => waiting !== null;

export function subscribeToPasswordAsked(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
