import type { CreatureBrief, Entity, PersonBrief, SceneBrief, ThingBrief } from '@urbild/core';
import { CREATURES } from '../creatures';
import { withBody, withTraits, type TraitPulls } from '../people/fromTraits';
import { personFrom } from '../people/fromWords';
import type { Person } from '../people/person';
import { THINGS } from '../things';

/** One body of the picture: an entity of the brief, counted out. */
export interface Actor {
  readonly entity: number;
  readonly brief: Entity;
  readonly person?: Person;
  /** Width and height in heads of a grown person at the same distance. */
  readonly width: number;
  readonly height: number;
  /** What it stands on, sits on or lies in. */
  readonly on?: Actor;
  /** Where it belongs. */
  readonly zone: 'lane' | 'back' | 'far' | 'air' | 'water' | 'wall' | 'small' | 'sill';
}

const SIZES = { big: 1.45, small: 0.7, tall: 1.2, short: 0.85, long: 1 } as const;

/** How many times larger it is drawn for how much the words make of it (0..2, 1 usual). */
export const largerBy = (prominence = 1): number =>
  prominence < 1 ? 0.5 + 0.5 * prominence : 1 + 0.5 * (prominence - 1);

/** Things taller than this many heads stand behind the people, not among them. */
const TALL = 5.6;

/** Furniture that stands against the wall of a room. */
const FURNITURE: ReadonlySet<string> = new Set(['stove', 'bed', 'clock', 'ladder', 'shelf']);

/** All bodies of a brief, in the order of the words; those that carry others come before them. */
export function actorsOf(
  brief: SceneBrief,
  place: { readonly water: boolean; readonly indoor: boolean },
  identities: ReadonlyMap<number, TraitPulls> = new Map(),
): Actor[] {
  const made = new Map<number, Actor[]>();
  const carriers = new Map<number, { index: number; how: string }>();
  const sills = new Set<number>();
  brief.entities.forEach((e, i) => {
    const { relation } = e;
    if (e.kind !== 'thing' || !relation) return;
    const small = (k: number) => {
      const other = brief.entities[k];
      return other.kind === 'person' || (other.kind === 'thing' && THINGS[other.thing]?.stands === 'table');
    };
    const carried = [relation.target, ...(relation.also ?? []).filter(small)];
    if (relation.how !== 'on' && relation.how !== 'in') return;
    for (const k of carried)
      if (e.thing === 'window') sills.add(k);
      else carriers.set(k, { index: i, how: relation.how });
  });
  // a teapot beside the cat on a table is on the table too
  brief.entities.forEach((e, i) => {
    if (e.kind !== 'thing' || e.relation?.how !== 'beside' || THINGS[e.thing]?.stands !== 'table') return;
    const { target } = e.relation;
    const neighbour = brief.entities[target];
    const carrier =
      neighbour.kind === 'thing' && THINGS[neighbour.thing]?.top !== undefined
        ? { index: target, how: 'on' }
        : carriers.get(target);
    if (carrier) carriers.set(i, carrier);
  });
  const seated = new Map<number, number>();
  const make = (i: number): Actor[] => {
    const known = made.get(i);
    if (known) return known;
    const e = brief.entities[i];
    const list: Actor[] = [];
    made.set(i, list);
    const carrier = carriers.get(i);
    const seats = carrier && carrier.index !== i ? make(carrier.index) : [];
    for (let k = 0; k < e.count; k++) {
      const taken = carrier ? (seated.get(carrier.index) ?? 0) : 0;
      // one to a chair, several on what is wide
      const seat = seats[Math.min(taken, seats.length - 1)];
      const room = !seat || taken < seats.length || seat.width > (e.kind === 'person' ? 1.2 : 0.5) * (1 + taken);
      const on = room ? seat : undefined;
      if (on && carrier) seated.set(carrier.index, taken + 1);
      list.push(actor(e, i, k, on, place, k ? undefined : identities.get(i)));
    }
    return list;
  };
  brief.entities.forEach((_, i) => make(i));
  return [...made.entries()].flatMap(([i, list]) =>
    sills.has(i) ? list.map((a) => ({ ...a, zone: 'sill' as const })) : list,
  );
}

function actor(
  e: Entity,
  entity: number,
  nth: number,
  on: Actor | undefined,
  place: { readonly water: boolean; readonly indoor: boolean },
  pulls?: TraitPulls,
): Actor {
  // people do not grow by counting more: they come nearer
  const size = (e.size ? SIZES[e.size] : 1) * (e.kind === 'person' ? 1 : largerBy(e.prominence));
  switch (e.kind) {
    case 'person':
      return personActor(e, entity, nth, on, pulls);
    case 'creature':
      return creatureActor(pulls ? withBody(e, pulls) : e, entity, size, on, place.water);
    case 'thing':
      return thingActor(e, entity, size, on, place);
  }
}

/** Height of a grown person, in the units of a scene. */
export const PERSON_HEIGHT = 5;

function personActor(said: PersonBrief, entity: number, nth: number, on?: Actor, pulls?: TraitPulls): Actor {
  // what one holds, the others do not
  const e = nth ? { ...said, holds: [] } : said;
  const own = personFrom(e, nth);
  const person = pulls ? withTraits(own, e, pulls) : own;
  return {
    entity,
    brief: e,
    person,
    width: 2.1 * person.stature,
    height: PERSON_HEIGHT * person.stature,
    on: on && carries(on) ? on : undefined,
    zone: e.distance === 'far' ? 'far' : 'lane',
  };
}

function creatureActor(e: CreatureBrief, entity: number, size: number, on: Actor | undefined, water: boolean): Actor {
  const drawing = CREATURES[e.species];
  const height = (drawing?.height ?? 1) * size;
  const flies = drawing?.lives === 'air' || (e.action === 'fly' && e.species !== 'heron');
  const zone = flies ? 'air' : drawing?.lives === 'water' && water ? 'water' : e.distance === 'far' ? 'far' : 'lane';
  return {
    entity,
    brief: e,
    width: height * (drawing?.width ?? 1),
    height,
    on: on && carries(on) ? on : undefined,
    zone: on ? 'lane' : zone,
  };
}

function thingActor(
  e: ThingBrief,
  entity: number,
  size: number,
  on: Actor | undefined,
  place: { readonly water: boolean; readonly indoor: boolean },
): Actor {
  const drawing = THINGS[e.thing];
  const height = (drawing?.height ?? 1) * size;
  const zone = (): Actor['zone'] => {
    if (drawing?.stands === 'air') return 'air';
    if (place.indoor && FURNITURE.has(e.thing) && e.relation?.how !== 'on') return 'wall';
    if (drawing?.stands === 'wall') return place.indoor ? 'wall' : 'lane';
    if (drawing?.stands === 'table' && !on) return 'small';
    if (drawing?.stands === 'water' && place.water) return 'water';
    if (e.distance === 'far') return height > TALL ? 'back' : 'far';
    return height > TALL ? 'back' : 'lane';
  };
  return {
    entity,
    brief: e,
    width: height * (drawing?.width ?? 1),
    height,
    on: on && carries(on) ? on : undefined,
    zone: on && carries(on) ? 'lane' : zone(),
  };
}

/** True for things with a surface, and for boats. */
export const carries = (a: Actor): boolean =>
  a.brief.kind === 'thing' && (a.brief.thing === 'boat' || THINGS[a.brief.thing]?.top !== undefined);

/** Height of the surface of a thing, in heads. */
export const topOf = (a: Actor): number =>
  a.brief.kind === 'thing' ? (THINGS[a.brief.thing]?.top ?? 0) * a.height : 0;
