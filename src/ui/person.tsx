'use client';

import { createContext, useContext, type ReactNode } from 'react';
import type { Message } from '@/core/message';
import { say } from '@/words/say';
import { mayDo, type Duty, type Role } from '@/core/roles';
import {
  massFigure,
  massWords,
  METRIC,
  temperatureFigure,
  temperatureStepWords,
  temperatureWords,
  type Units,
  volumeWords,
} from '@/core/units';

/** Who is at the screen: what they may do and the units they read. */
export interface Viewer {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly units: Units;
  /** The house's, in which its days and hours are said. */
  readonly timeZone: string;
}

/** Without a person, as on a public page: nothing may be done, and units are the card's. */
const NOBODY: Viewer = { id: '', name: '', role: 'reader', units: METRIC, timeZone: 'UTC' };

const PersonContext = createContext<Viewer>(NOBODY);

/** Somebody without an account, by the clock of their own phone: drafts and what waits there are theirs. */
export const guestViewer = (id: string, name: string): Viewer => ({
  id,
  name,
  role: 'reader',
  units: METRIC,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
});

export function PersonProvider({ person, children }: { person: Viewer; children: ReactNode }) {
  return <PersonContext value={person}>{children}</PersonContext>;
}

export function usePerson(): Viewer {
  return useContext(PersonContext);
}

/** May this person do what asks for this duty? The server decides; screens only spare the wait. */
export function useMay(duty: Duty): boolean {
  const { id, role } = usePerson();
  return id !== '' && mayDo(role, duty);
}

/** Masses, volumes and temperatures in this person's units. */
export function useUnits() {
  const { units } = usePerson();
  return {
    units,
    mass: massWords,
    massFigure,
    volume: (ml: number) => volumeWords(ml, units),
    temperature: (c: number, digits?: number) => temperatureWords(c, units, digits),
    temperatureFigure: (c: number, digits?: number) => temperatureFigure(c, units, digits),
    say: (message: Message) => say(message, units),
    temperatureStep: (c: number, digits?: number) => temperatureStepWords(c, units, digits),
  };
}
