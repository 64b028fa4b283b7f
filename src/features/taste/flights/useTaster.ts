'use client';

import { useCallback, useState } from 'react';
import type { Fault } from '@/core/errors';
import type { FlightDoor, TasterState } from '@/views/flight';
import { newId } from '@/ui/newId';
import { lookForServer } from '@/ui/reach';
import { sendCommand, UNREACHED } from '@/ui/sendCommand';
import { useFollowed } from '@/ui/useFollowed';

/** A place in a flight, as this phone keeps it. */
interface Place {
  readonly tasterId: string;
  readonly name: string;
  /** What was known last: it stands while the server is away. */
  readonly state: TasterState | null;
}

type Shown =
  | { readonly at: 'looking' }
  | { readonly at: 'closed'; readonly words: string }
  | { readonly at: 'door'; readonly door: FlightDoor }
  | { readonly at: 'table'; readonly place: Place; readonly state: TasterState };

const AGAIN_MS = 4_000;

/** This phone's place in a flight: looked up, taken, and followed while it is in view. */
export function useTaster(code: string) {
  const [shown, setShown] = useState<Shown>({ at: 'looking' });
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [isJoining, setJoining] = useState(false);

  const look = useCallback(async () => {
    const place = readPlace(code);
    const found = await ask(code, place);
    if (found === 'unreached') {
      if (place?.state) setShown({ at: 'table', place, state: place.state });
      void lookForServer();
      return;
    }
    if ('words' in found) return setShown({ at: 'closed', words: found.words });
    const { door, taster } = found;
    if (!place || !taster) return setShown({ at: 'door', door });
    const seen = { ...place, state: taster };
    keepPlace(code, seen);
    setShown({ at: 'table', place: seen, state: taster });
  }, [code]);

  useFollowed(look, AGAIN_MS, code);

  const join = async (name: string) => {
    setJoining(true);
    const answer = await sendCommand(newId(), 'joinFlight', {
      flightCode: code,
      name,
      device: deviceOf(),
    });
    if (answer === 'unreached') setFaults([{ field: '', message: UNREACHED }]);
    else if (!answer.ok) setFaults(answer.faults);
    else {
      setFaults([]);
      keepPlace(code, { tasterId: answer.result.tasterId, name, state: null });
      await look();
    }
    setJoining(false);
  };
  /** Somebody else tastes on this phone: the place stays theirs, under their name. */
  const handOn = () => {
    localStorage.removeItem(placeKey(code));
    localStorage.removeItem(DEVICE_KEY);
    setShown({ at: 'looking' });
    void look();
  };
  return { shown, join, handOn, look, faults, isJoining, device: deviceOf };
}

type Answered = { readonly door: FlightDoor; readonly taster: TasterState | null };

async function ask(
  code: string,
  place: Place | null,
): Promise<Answered | { readonly words: string } | 'unreached'> {
  try {
    const response = await fetch(`/api/flights/${code}`, {
      cache: 'no-store',
      headers: place ? { 'flight-taster': place.tasterId, 'flight-device': deviceOf() } : {},
    });
    const body = (await response.json()) as { result?: Answered; faults?: Fault[] };
    if (body.result) return body.result;
    return { words: body.faults?.map(({ message }) => message).join(' ') ?? UNREACHED };
  } catch {
    return 'unreached';
  }
}

const DEVICE_KEY = 'flight device';
const placeKey = (code: string) => `flight ${code}`;

/** A mark of this phone that nobody can guess: whoever has it goes on with its sheets. */
function deviceOf(): string {
  const known = localStorage.getItem(DEVICE_KEY);
  if (known) return known;
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  const made = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  localStorage.setItem(DEVICE_KEY, made);
  return made;
}

function readPlace(code: string): Place | null {
  try {
    const text = localStorage.getItem(placeKey(code));
    return text === null ? null : (JSON.parse(text) as Place);
  } catch {
    return null;
  }
}

function keepPlace(code: string, place: Place): void {
  localStorage.setItem(placeKey(code), JSON.stringify(place));
}
