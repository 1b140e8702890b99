import type { Role } from '@urbild/core';
import { Problem } from '../problems/problem';

/** How far somebody sees among the projects of the studio, by ids of projects. */
export interface Reach {
  /** Projects that they may not even know of. */
  readonly hidden: readonly string[];
  /** Projects in which their role is another than in the studio. */
  readonly roles: ReadonlyMap<string, Role>;
}

/** Of somebody to whom every project is open. */
export const EVERYWHERE: Reach = { hidden: [], roles: new Map() };

/** True where nothing has to be judged. */
export const isEverywhere = ({ hidden, roles }: Reach): boolean => !hidden.length && !roles.size;

/** Throws a not-found {@link Problem} for what belongs to a project that somebody may not know of. `what` as in "This mix". */
export function requireWithin({ hidden }: Reach, project: string | undefined, what: string): void {
  if (project !== undefined && hidden.includes(project)) throw Problem.notFound(what);
}
