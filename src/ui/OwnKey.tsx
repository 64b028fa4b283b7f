'use client';

import { useKeyOf, type Letter } from './singleKeys';
import { Key } from './type';

/** The letter an act is on in this browser. */
export function OwnKey({ of }: { of: Letter }) {
  return <Key>{useKeyOf(of)}</Key>;
}
