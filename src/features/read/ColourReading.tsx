'use client';

import { useState } from 'react';
import { linkColourMeter } from '@/devices/linked';
import { QuietButton } from '@/ui/Button';
import { Small } from '@/ui/type';

/** Takes the colour of the ground coffee off the linked meter; it is kept only when the batch is saved. */
export function ColourReading({
  roastLevel,
  onRead,
}: {
  roastLevel: number;
  onRead: (colourGround: number) => void;
}) {
  const [readings, setReadings] = useState(0);
  const read = () => {
    // Each reading scatters anew.
    void linkColourMeter(roastLevel, readings)
      .then((meter) => meter.read())
      .then(({ colourGround }) => onRead(colourGround));
    setReadings(readings + 1);
  };
  return (
    <Small as="div">
      <QuietButton onPress={read}>Read the colour meter</QuietButton>
      {readings > 0 && ' Made up by the simulated meter: save it only to try things out.'}
    </Small>
  );
}
