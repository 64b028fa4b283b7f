/** Small sentences the frame shows in several places. */
import type { StoredComponent } from '@/data/releases';

/** "Guji, Ethiopia": the parts that are known, narrow to wide. */
export function originWords({ producer, region, country }: StoredComponent): string {
  return [producer, region, country].filter((part) => part !== '').join(', ');
}

/** A day as people write it: 3 Mar 2026. */
export function dayWords(day: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}
