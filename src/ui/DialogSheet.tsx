'use client';

import dynamic from 'next/dynamic';

/** A dialog is fetched when one is first asked for: no page waits for what it may never show. */
export const DialogSheet = dynamic(() => import('./DialogBody'));
