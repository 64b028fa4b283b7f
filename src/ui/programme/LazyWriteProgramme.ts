'use client';

import dynamic from 'next/dynamic';

/** The editor is fetched when a programme is to be written: most recipes take one as it is. */
export const LazyWriteProgramme = dynamic(() => import('./WriteProgramme'));
