/** Who may do what in a house. */
export const ROLES = ['lead', 'bench', 'reader'] as const;
export type Role = (typeof ROLES)[number];

export const ROLE_LABELS: Record<Role, string> = {
  lead: 'Quality lead',
  bench: 'Bench hand',
  reader: 'Reader',
};

export const ROLE_WORDS: Record<Role, string> = {
  lead: 'does everything, and alone publishes',
  bench: 'pulls and tastes',
  reader: 'looks, and changes nothing',
};

/** What a command asks of the one who gives it. `open` needs no sign-in; `self` is anyone's own affair. */
export type Duty = 'lead' | 'bench' | 'self' | 'open';

/** May a role do what asks for this duty? */
export function mayDo(role: Role, duty: Duty): boolean {
  switch (duty) {
    case 'lead':
      return role === 'lead';
    case 'bench':
      return role !== 'reader';
    case 'self':
    case 'open':
      return true;
  }
}
