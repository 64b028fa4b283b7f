/** The invented people of the demo house; their sign-ins are shown only where the demo runs. */
import { ROLE_LABELS, ROLE_WORDS, type Role } from '@/core/roles';
import type { DemoSignIn } from './SignIn';

export interface DemoPerson {
  readonly name: string;
  readonly role: Role;
  readonly signInName: string;
  readonly password: string;
}

export const DEMO_PEOPLE = [
  { name: 'Ines Okonjo-Vale', role: 'lead', signInName: 'ines', password: 'kettle at six' },
  { name: 'Tobin Achterveld', role: 'bench', signInName: 'tobin', password: 'purge then pull' },
  { name: 'Wren Adeyemi-Holt', role: 'reader', signInName: 'wren', password: 'only looking on' },
] as const satisfies readonly DemoPerson[];

/** Empty unless the server was started as the demo. */
export function demoSignIns(): DemoSignIn[] {
  if (process.env.KETTLEBRAND_DEMO !== '1') return [];
  return DEMO_PEOPLE.map(({ name, role, signInName, password }) => ({
    name,
    role: `${ROLE_LABELS[role]}: ${ROLE_WORDS[role]}`,
    signInName,
    password,
  }));
}
