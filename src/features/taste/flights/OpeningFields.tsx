'use client';

import { QuantityInput } from '@/ui/fields';

/** For how many a flight is open, and how long from now; as typed. */
export interface Opening {
  readonly places: string;
  readonly hours: string;
}

/** A working day at the bench, h. */
export const USUAL_HOURS = '8';

export function OpeningFields({
  opening: { places, hours },
  onChange,
  faultOf,
}: {
  opening: Opening;
  onChange: (part: Partial<Opening>) => void;
  faultOf: (field: string) => string | undefined;
}) {
  return (
    <>
      <QuantityInput
        label="Tasters"
        quantity="places"
        step={1}
        value={places}
        onChange={(value) => onChange({ places: value })}
        fault={faultOf('places')}
      />
      <QuantityInput
        label="Open from now for"
        quantity="openHours"
        step={1}
        value={hours}
        onChange={(value) => onChange({ hours: value })}
        fault={faultOf('hours')}
      />
    </>
  );
}
