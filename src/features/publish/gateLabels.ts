import type { PublishCheck } from '@/data/publications';

export const GATE_LABELS: Record<PublishCheck, string> = {
  confirmed: 'Repeated on target',
  tasted: 'Tasted by two',
  rested: 'Inside its rest span',
};
