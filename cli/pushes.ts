/** `kb` calls contributions "pushes", as it always has: those who read its answers rely on it. */
export function withPushes<T extends { readonly contributions: unknown }>({
  contributions,
  ...answer
}: T) {
  return { ...answer, pushes: contributions as T['contributions'] };
}
