'use client';

import dynamic from 'next/dynamic';

/** For places where most recipes have nothing to draw: the drawing comes with those that do. */
export const LazyProgrammeCurve = dynamic(() =>
  import('./ProgrammeCurve').then(({ ProgrammeCurve }) => ProgrammeCurve),
);
