import type { PublishCheck } from '@/data/publications';

/** Reasons for passing gates that are not met. */
export type PassText = Readonly<Partial<Record<PublishCheck, string>>>;
