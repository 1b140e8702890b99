import { may, PERMISSION_WORDS, ROLE_WORDS, rolesThatMay, type Permission } from '@urbild/core';
import type { Request } from 'express';
import { Problem } from '../problems/problem';
import { askerOf, type Asker } from './asker';

/** Throws a 403 {@link Problem} that says who can change it, unless somebody may do a thing; `where` as in "in this project". */
export function requireMay(asker: Asker, needed: Permission, where?: string): void {
  if (!may(asker, needed)) throw Problem.forbidden(refusal(asker, needed, where));
}

/** The same for who sent a request that the guard let through. */
export const requireAskerMay = (request: Request, needed: Permission): void => {
  const asker = askerOf(request);
  if (asker) requireMay(asker, needed);
};

function refusal({ role }: Asker, needed: Permission, where?: string): string {
  const roles = rolesThatMay(needed).map((r) => ROLE_WORDS[r].label.toLowerCase());
  return `As ${withArticle(ROLE_WORDS[role].label.toLowerCase())} ${where ? `${where} ` : ''}you may not ${PERMISSION_WORDS[needed]}. An owner of the studio can make you ${roles.map(withArticle).join(' or ')}.`;
}

const withArticle = (noun: string): string => `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;
