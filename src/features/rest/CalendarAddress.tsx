'use client';

import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay } from '@/ui/person';
import { SectionTitle, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';

/** The planned checks of every release in a calendar program: as a file, or by an address it asks again. */
export function CalendarAddress({ address }: { address: string | null }) {
  const { submit, faults, isBusy } = useCommand();
  const isLead = useMay('lead');
  return (
    <section aria-label="Calendar of checks" style={{ display: 'grid', gap: 6 }}>
      <SectionTitle>In a calendar</SectionTitle>
      {address === null ? (
        <p>The planned checks of all releases can be read by a calendar program.</p>
      ) : (
        <p style={{ overflowWrap: 'anywhere' }}>
          <a href={address} download="checks.ics">
            Calendar file
          </a>
          , or subscribe to this address: {address}
        </p>
      )}
      {isLead && (
        <p>
          <Button isPending={isBusy} onPress={() => void submit('renewCalendar', {})}>
            {address === null ? 'Make an address' : 'Make a new address, the old one ends'}
          </Button>
        </p>
      )}
      <Small>
        Whoever has the address reads the names of coffees and their check days, nothing else. An
        event keeps its id: importing the file again moves what has moved.
      </Small>
      <Faults faults={faults} />
    </section>
  );
}
