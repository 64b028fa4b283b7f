/** What a house's data is about: what is kept of it in memory rests on some of these. */
export const CACHE_TAGS = [
  'house',
  'people',
  'equipment',
  'programme',
  'release',
  'batch',
  'recipe',
  'shot',
  /** A shot of a recipe that is decided: the dial it ended on may be another. */
  'decidedShot',
  'tasting',
  'flight',
  /** What a trial may change and take. */
  'trial',
  'publication',
  /** Remarks of readers, and the outbox. */
  'message',
  /** Cafés, the coffees they serve, their links. */
  'partner',
  /** What cafés sent. */
  'check',
  /** Checks that were taken away or put back: what was made of them is made anew. */
  'removedCheck',
  /** What their checks taught: changed by what is worked out after a command. */
  'cafesLearnt',
  /** What cups taught: changed by what is worked out after a command. */
  'tasteEvidence',
] as const;
export type CacheTag = (typeof CACHE_TAGS)[number];
