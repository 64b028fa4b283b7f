/** What a person enters to become one of the house. */
import { z } from 'zod';
import { text } from './fields';

const PASSWORD = { least: 12, most: 200 } as const;

export const passwordField = z
  .string({ error: `Password is missing. Enter at least ${PASSWORD.least} characters.` })
  .min(PASSWORD.least, {
    error: `Password is too short. Enter at least ${PASSWORD.least} characters; a few words do.`,
  })
  .max(PASSWORD.most, { error: `Password is over ${PASSWORD.most} characters. Shorten it.` });

export const signInNameField = text('Sign-in name', 'note').regex(/^[\p{L}\p{N}._@-]*$/u, {
  error: 'Sign-in name takes letters, digits and . _ @ - only. Leave out spaces and other signs.',
});

/** Name, sign-in name and password of a new person. */
export const newPersonFields = {
  name: text('Your name', 'name'),
  signInName: signInNameField,
  password: passwordField,
};
