import { Problem } from './problems/problem';

/** Throws a 409 with the present state unless a write was based on the present version. */
export function requireVersion<T extends { version: number }>(
  entity: T,
  basedOn: number,
  present: (entity: T) => unknown,
): void {
  if (entity.version !== basedOn) throw Problem.stale(present(entity));
}
