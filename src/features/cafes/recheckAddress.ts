/** Where a check of a batch is asked for: Rest, with what cafés found as its reason. */
export function recheckAddress({
  releaseId,
  check,
  roast,
}: {
  readonly releaseId: string;
  /** Why. */
  readonly check: string;
  /** Of the batch in doubt; the batch on the bench where absent. */
  readonly roast?: string | null | undefined;
}): string {
  return `/releases/${releaseId}/rest?${new URLSearchParams({ check, ...(roast && { roast }) })}`;
}
