/** A sheet on which nobody said anything is no evidence, and nobody counts as having tasted. */
import type { Taste } from '../schema/shot';
import { fault } from '../message';

export const EMPTY_CUP_FAULT = fault('emptyCup');

export function isEmptyCup({
  scales,
  notesFound,
  remark,
}: {
  readonly scales: Taste;
  readonly notesFound: readonly string[];
  readonly remark: string;
}): boolean {
  const { strength = 0, signs = [], ...scored } = scales;
  return (
    Object.values(scored).every((value) => value === undefined) &&
    strength === 0 &&
    signs.length === 0 &&
    notesFound.length === 0 &&
    remark.trim() === ''
  );
}
