'use client';

import styled from 'styled-components';
import { QuantityInput } from '@/ui/fields';
import { Small } from '@/ui/type';
import type { HouseText } from './houseText';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 240px));
  gap: 8px 16px;
`;

/** The house's roast words, each with the colour its own meter reads there. */
export function RoastMap({
  readings,
  onChange,
  faultOf,
  wordOf,
}: {
  readings: HouseText['roastMap'];
  onChange: (readings: HouseText['roastMap']) => void;
  faultOf: (field: string) => string | undefined;
  wordOf: (level: number) => string;
}) {
  const set = (at: number, part: Partial<HouseText['roastMap'][number]>) =>
    onChange(readings.map((reading, i) => (i === at ? { ...reading, ...part } : reading)));
  // Only readings that were sent have a place in the answer's fault paths.
  const sent = readings.filter(({ colourBean, colourGround }) => colourBean || colourGround);
  return (
    <>
      <Small>
        “Light” means another thing in every house. Give at least two words the colour your meter
        reads; batches with a reading are then placed between them, and the reading overrules the
        word. Without your own readings a common scale stands in for ground coffee: a house
        heuristic.
      </Small>
      <Grid>
        {readings.map((reading, i) => {
          const path = `roastMap.${sent.indexOf(reading)}`;
          const word = wordOf(reading.roastLevel);
          return (
            <div key={reading.roastLevel} style={{ display: 'contents' }}>
              <QuantityInput
                label={`${word}: ground colour`}
                quantity="colourGround"
                step={1}
                value={reading.colourGround}
                onChange={(colourGround) => set(i, { colourGround })}
                fault={faultOf(`${path}.colourGround`)}
              />
              <QuantityInput
                label={`${word}: bean colour`}
                quantity="colourBean"
                step={1}
                value={reading.colourBean}
                onChange={(colourBean) => set(i, { colourBean })}
                fault={faultOf(`${path}.colourBean`)}
              />
            </div>
          );
        })}
      </Grid>
    </>
  );
}
