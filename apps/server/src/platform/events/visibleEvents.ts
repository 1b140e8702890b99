import type { SqlEntityManager } from '@mikro-orm/better-sqlite';
import { belongings, projectOf } from '../access/belonging';
import type { Reach } from '../access/reach';
import type { StudioEvent } from './events.service';

/** Of so many things it is remembered to which project they belong. */
const REMEMBERED = 5_000;

/** Finds out which events somebody may hear, who does not know of every project. One for each stream. */
export class VisibleEvents {
  private readonly projects = new Map<string, string>();

  constructor(private readonly em: () => SqlEntityManager) {}

  /** True for what happens to the studio itself and in projects that are not hidden. */
  async shows(event: StudioEvent, { hidden }: Reach): Promise<boolean> {
    if (!hidden.length) return true;
    const about = aboutOf(event);
    if (!about) return true;
    const project = await this.projectOf(...about);
    // what is gone, and nobody can say where it was, is told to nobody
    return project !== undefined && !hidden.includes(project);
  }

  private async projectOf(table: string, id: string): Promise<string | undefined> {
    const key = `${table} ${id}`;
    // a mix can be moved to another project, all else stays where it is made
    const known = table === 'mix' ? undefined : this.projects.get(key);
    const project = known ?? (await projectOf(this.em(), table, id));
    if (this.projects.size >= REMEMBERED) this.projects.clear();
    if (project !== undefined) this.projects.set(key, project);
    return project;
  }
}

/** What an event is about: a table and an id; undefined for what belongs to no project. */
function aboutOf(event: StudioEvent): [string, string] | undefined {
  if ('mixId' in event && event.mixId) return ['mix', event.mixId];
  if ('shotId' in event && event.shotId) return ['shot', event.shotId];
  if (event.type === 'comment') return event.kind === 'reference' ? undefined : [event.kind, event.thingId];
  if (event.type === 'progress') return ['take', event.id];
  if (!belongings().some(({ table }) => table === event.type) || !('id' in event)) return undefined;
  return event.id === undefined ? undefined : [event.type, event.id];
}
