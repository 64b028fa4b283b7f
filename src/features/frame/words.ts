/** Small sentences the frame shows in several places. */
import { PROCESS_LABELS, VARIETY_LABELS } from '@/core/vocabulary';
import type { StoredComponent } from '@/data/releases';

/** "Dembi Ridge, Guji, Ethiopia"; of a blend, its countries. */
export function originWords(components: readonly StoredComponent[]): string {
  const [only, ...others] = components;
  if (only && others.length === 0)
    return [only.producer, only.region, only.country].filter((part) => part !== '').join(', ');
  const countries = [...new Set(components.map(({ country }) => country))];
  return `Blend: ${countries.filter((country) => country !== '').join(', ')}`;
}

/** "Caturra, honey": what a component is, after where it is from. */
export function kindWords({ variety, varietyClass, process }: StoredComponent): string {
  const plant = variety || (varietyClass ? VARIETY_LABELS[varietyClass] : '');
  return [plant, process ? PROCESS_LABELS[process].toLowerCase() : '']
    .filter((part) => part !== '')
    .join(', ');
}
