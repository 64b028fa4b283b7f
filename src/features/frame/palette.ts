/** What the command palette offers: places to go and things to do, found by any of their words. */
import { mayDo, type Role } from '@/core/roles';
import { STAGES } from './stages';

export interface PaletteItem {
  readonly id: string;
  readonly words: string;
  /** Where it is, or what kind of thing it is; searched too. */
  readonly place: string;
  readonly href: string;
}

interface Named {
  readonly id: string;
  readonly name: string;
}

export interface PaletteInput {
  /** Releases at hand, the latest first. */
  readonly recent: readonly Named[];
  readonly current: Named | undefined;
  readonly role: Role;
}

const PLACES = [
  { href: '/', words: 'Today', duty: 'self' },
  { href: '/open', words: 'Open today: what to pull, and how', duty: 'self' },
  { href: '/find', words: 'Find anything', duty: 'self' },
  { href: '/releases', words: 'Releases', duty: 'self' },
  { href: '/releases/new', words: 'New release', duty: 'lead' },
  { href: '/import', words: 'Import a spreadsheet', duty: 'lead' },
  { href: '/field', words: 'Field: who is off, and why', duty: 'self' },
  { href: '/field/week', words: 'The week of the field', duty: 'self' },
  { href: '/patterns', words: 'Patterns', duty: 'self' },
  { href: '/practice', words: 'Practice', duty: 'self' },
  { href: '/equipment', words: 'Equipment', duty: 'self' },
  { href: '/programmes', words: 'Programmes of the machine', duty: 'self' },
  { href: '/messages', words: 'Messages: what readers said, what goes out', duty: 'self' },
  { href: '/people', words: 'People', duty: 'self' },
  { href: '/house', words: 'House', duty: 'self' },
] as const;

/** Stages of the open release first, then releases at hand, then places. */
export function paletteItems({ recent, current, role }: PaletteInput): PaletteItem[] {
  const stages = current
    ? [...STAGES, { path: 'log', verb: 'Who did what when' }].map(({ path, verb }) => ({
        id: `stage-${path}`,
        words: verb,
        place: current.name,
        href: `/releases/${current.id}/${path}`,
      }))
    : [];
  const places = PLACES.filter(({ duty }) => mayDo(role, duty)).map(({ href, words }) => ({
    id: `place-${href}`,
    words,
    place: 'Go to',
    href,
  }));
  return [...stages, ...releaseItems(recent), ...places];
}

export function releaseItems(releases: readonly Named[]): PaletteItem[] {
  return releases.map(({ id, name }) => ({
    id: `release-${id}`,
    words: name,
    place: 'Release',
    href: `/releases/${id}`,
  }));
}

/** Items that hold every word that was typed, in any order. */
export function itemsWith(items: readonly PaletteItem[], typed: string): PaletteItem[] {
  const words = plainWords(typed);
  return items.filter(({ words: own, place }) => {
    const text = plainWords(`${own} ${place}`).join(' ');
    return words.every((word) => text.includes(word));
  });
}

/** Without case and accents. */
function plainWords(text: string): string[] {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
}
