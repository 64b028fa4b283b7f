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

export interface PaletteInput {
  readonly releases: readonly { readonly id: string; readonly name: string }[];
  readonly currentId: string | undefined;
  readonly role: Role;
}

const PLACES = [
  { href: '/', words: 'Today', duty: 'self' },
  { href: '/releases/new', words: 'New release', duty: 'lead' },
  { href: '/import', words: 'Import a spreadsheet', duty: 'lead' },
  { href: '/patterns', words: 'Patterns', duty: 'self' },
  { href: '/practice', words: 'Practice', duty: 'self' },
  { href: '/equipment', words: 'Equipment', duty: 'self' },
  { href: '/programmes', words: 'Programmes of the machine', duty: 'self' },
  { href: '/people', words: 'People', duty: 'self' },
  { href: '/house', words: 'House', duty: 'self' },
] as const;

/** Stages of the open release first, then places, then every release. */
export function paletteItems({ releases, currentId, role }: PaletteInput): PaletteItem[] {
  const current = releases.find(({ id }) => id === currentId);
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
  const others = releases.map(({ id, name }) => ({
    id: `release-${id}`,
    words: name,
    place: 'Release',
    href: `/releases/${id}`,
  }));
  return [...stages, ...places, ...others];
}
