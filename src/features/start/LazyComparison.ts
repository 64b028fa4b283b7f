'use client';

import dynamic from 'next/dynamic';

/** Two proposals are set beside each other only when somebody asks. */
export const LazyComparison = dynamic(() =>
  import('./Comparison').then(({ Comparison }) => Comparison),
);
