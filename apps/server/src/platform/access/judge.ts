import type { SqlEntityManager } from '@mikro-orm/better-sqlite';
import type { Permission } from '@urbild/core';
import type { Request } from 'express';
import type { Asker } from './asker';
import { belongings, projectOf, type Belonging } from './belonging';
import { requireWithin, type Reach } from './reach';
import { requireMay } from './refusal';

/** Something that a request names. */
interface Named {
  readonly kind: Belonging;
  readonly id: string;
}

/** A list of ids in a query or a body is looked at so far; longer ones are refused later. */
const MOST_NAMED = 300;

/**
 * Everything in projects that a request names: `{id}` by the path it stands under, and ids in path, query and body by their name, as
 * `mixId`, `shotIds`. The project of a search of the library is named as a collection.
 */
export function namedIn({ params, query, body, path }: Pick<Request, 'params' | 'query' | 'body' | 'path'>): Named[] {
  const under = path.split('/').filter(Boolean)[2];
  const named: Named[] = [];
  const add = (kind: Belonging, ids: unknown) => {
    const list = typeof ids === 'string' ? ids.split(',') : Array.isArray(ids) ? (ids as unknown[]) : [];
    for (const id of list.slice(0, MOST_NAMED)) if (typeof id === 'string' && id) named.push({ kind, id });
  };
  for (const kind of belongings()) {
    if (kind.path === under) add(kind, (params as Record<string, string>).id);
    for (const fields of [params, query, body] as unknown[]) {
      if (typeof fields !== 'object' || fields === null) continue;
      const of = fields as Record<string, unknown>;
      add(kind, of[`${kind.table}Id`]);
      add(kind, of[`${kind.table}Ids`]);
      if (kind.table === 'project' && under === 'references') add(kind, of.collection);
    }
  }
  return named;
}

/**
 * Throws a {@link Problem} unless somebody may do a thing to all that a request names: 404 for what is in a project that they may not
 * know of, 403 where the project gives them too small a role.
 */
export async function judge(
  em: SqlEntityManager,
  request: Request,
  who: { readonly asker: Asker; readonly reach: Reach; readonly needed: Permission },
): Promise<void> {
  for (const { kind, id } of namedIn(request)) {
    const project = await projectOf(em, kind.table, id);
    requireWithin(who.reach, project, kind.called);
    requireMayIn(who, project);
  }
}

/** Throws a 403 {@link Problem} where a project gives somebody too small a role for a thing. */
export function requireMayIn(
  { asker, reach, needed }: { readonly asker: Asker; readonly reach: Reach; readonly needed: Permission },
  project: string | undefined,
): void {
  const role = project === undefined ? undefined : reach.roles.get(project);
  if (role) requireMay({ ...asker, role }, needed, 'in this project');
}
