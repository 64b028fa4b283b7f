/** Passwords many people have: the list the kept package ships, the first that anybody tries. */
import { dictionary } from '@zxcvbn-ts/language-common';
import { userFault } from '@/core/errors';

const COMMON: ReadonlySet<string> = new Set(dictionary['passwords-common']);

/** What is left when digits and signs at the end and beginning are dropped, by which people vary one. */
const bare = (password: string) => password.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, '');

/** @throws UserFault when a password, in any case or with digits around it, is on the list. */
export function refuseCommon(password: string, field: string): void {
  const plain = password.toLowerCase();
  if (COMMON.has(plain) || COMMON.has(bare(plain)) || new Set(plain).size < 4)
    throw userFault(
      'badInput',
      field,
      'Very many people have this password, so it is tried first. Choose another; a few words that belong to nobody else do.',
    );
}
