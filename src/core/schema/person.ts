/** What a person enters to become one of the house. */
import { z } from 'zod';
import { text } from './fields';
import { inIssue } from '../message';

const PASSWORD = { least: 12, most: 200 } as const;

export const passwordField = z
  .string({ error: inIssue('password.missing', { least: PASSWORD.least }) })
  .min(PASSWORD.least, {
    error: inIssue('password.short', { least: PASSWORD.least }),
  })
  .max(PASSWORD.most, { error: inIssue('password.long', { most: PASSWORD.most }) });

export const signInNameField = text('Sign-in name', 'note').regex(/^[\p{L}\p{N}._@-]*$/u, {
  error: inIssue('signInName'),
});

/** Name, sign-in name and password of a new person. */
export const newPersonFields = {
  name: text('Your name', 'name'),
  signInName: signInNameField,
  password: passwordField,
};
