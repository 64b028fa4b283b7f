'use client';

import dynamic from 'next/dynamic';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { figure } from '@/core/figure';
import type { SurfaceDrawing } from '@/core/trials/bestRecipe';
import { placeAt } from '@/core/trials/coding';
import { heldOf, lossAt } from '@/core/trials/contours';
import { InView } from '@/ui/charts/InView';
import { Choice } from '@/ui/choices';
import { useUnits } from '@/ui/person';
import { labelText, Small } from '@/ui/type';
import {
  AXES_OPTIONS,
  AXIS_NAMES,
  SURFACE_HEIGHT_PX,
  VARIABLE_NAMES,
  type Written,
} from './surfaceAxes';

const SurfaceChart = dynamic(() => import('./SurfaceChart').then((all) => all.SurfaceChart), {
  ssr: false,
});

const Held = styled.div`
  display: grid;
  grid-template-columns: auto minmax(120px, 1fr) auto;
  gap: 12px;
  align-items: center;

  label {
    ${labelText}
  }

  input {
    height: 32px;
    accent-color: var(--copper);
  }
`;

/** Coded steps the held variable can be moved each way. */
const REACH = 2;
const HELD_STEP = 0.1;

/** The surface over two variables, with the third on a slider. */
export function SurfacePicture({ drawing }: { drawing: SurfaceDrawing }) {
  const { temperature } = useUnits();
  const [open, setOpen] = useState('01');
  const { axes } = AXES_OPTIONS.find(({ value }) => value === open)!;
  const heldAt = heldOf(axes);
  const [moved, setMoved] = useState<Readonly<Record<number, number>>>({});
  const held = moved[heldAt] ?? within(drawing.optimum[heldAt]!);
  const id = useId();
  const written: Written = (name, value) => {
    if (name === 'ratio') return `1:${figure(value, 2)}`;
    return name === 'temperatureC' ? temperature(value) : `${figure(value, 0)} s`;
  };
  const heldName = VARIABLE_NAMES[heldAt];
  const heldWords = written(
    heldName,
    placeAt(
      drawing.centre,
      [0, 1, 2].map((j) => (j === heldAt ? held : 0)),
    )[heldName],
  );
  const best = drawing.optimum.map((value, j) => (j === heldAt ? held : value));
  const lost = lossAt(drawing, best as unknown as [number, number, number]);
  return (
    <section aria-label="Picture of what is known">
      <Choice
        label="Drawn over"
        value={open}
        onChange={setOpen}
        options={AXES_OPTIONS.map(({ value, label }) => ({ value, label }))}
      />
      <InView
        heightPx={SURFACE_HEIGHT_PX}
        label="Lines of equal liking over two variables; the table above says the best point, its band and the forgiving recipe"
      >
        {() => <SurfaceChart drawing={drawing} axes={axes} held={held} written={written} />}
      </InView>
      <Held>
        <label htmlFor={id}>{AXIS_NAMES[heldName]} held at</label>
        <input
          id={id}
          type="range"
          min={-REACH}
          max={REACH}
          step={HELD_STEP}
          value={held}
          aria-valuetext={heldWords}
          onChange={(event) => setMoved({ ...moved, [heldAt]: Number(event.target.value) })}
        />
        <output htmlFor={id}>
          {heldWords}
          {lost >= 0.05 && `, costs about ${figure(lost, 1)} points`}
        </output>
      </Held>
      <Small as="p">
        Lines: 0.1, 0.3, 0.6 and 1 point under the best. Dots are cups, larger where liked more.
        Dashed: where the best point lies, 8 in 10. Diamond and box: the forgiving recipe, and how
        far it may be off.
      </Small>
    </section>
  );
}

const within = (value: number) => Math.min(REACH, Math.max(-REACH, value));
