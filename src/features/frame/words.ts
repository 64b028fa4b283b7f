/** Small sentences the frame shows in several places. */
import type { StoredComponent } from '@/data/releases';

/** "Guji, Ethiopia": the parts that are known, narrow to wide. */
export function originWords({ producer, region, country }: StoredComponent): string {
  return [producer, region, country].filter((part) => part !== '').join(', ');
}
