import type { Gate } from '@/data/publications';

export const GATE_LABELS: Record<Gate, string> = {
  confirmed: 'Repeated on target',
  tasted: 'Tasted by two',
  rested: 'Inside its rest span',
};
