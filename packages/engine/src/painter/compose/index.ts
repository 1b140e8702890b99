import { mixLch, type SceneBrief } from '@urbild/core';
import type { TraitPulls } from '../people/fromTraits';
import { environmentFor, type Environment } from '../light/environment';
import { layOutAreas, PLACE_PAINTERS, type LayoutHints, type Staging } from '../places';
import { paintPrecipitation } from '../sky/precipitation';
import { REGION } from '../scene/region';
import { Scene } from '../scene/scene';
import { THINGS } from '../things';
import { actorsOf, type Actor } from './actors';
import { paintClose } from './close';
import { paintCrew } from './crew';
import { clustersOf, layOut, type Cluster } from './lane';
import { paintActor, spotOn, type Spot } from './paintActor';
import { paintAfloat, paintAir, paintBackdrop, paintWall } from './surroundings';

/** Places with water that carries boats and swimmers. */
const WATER: ReadonlySet<string> = new Set([
  'marsh',
  'reed channel',
  'stilt village',
  'harbour',
  'market quay',
  'pier',
  'open sea',
  'beach',
  'river bridge',
  'lighthouse',
]);
const ROOMS: ReadonlySet<string> = new Set(['kitchen', 'attic', 'boathouse', 'greenhouse']);

/** How a scene is composed. */
export interface ComposeOptions {
  readonly width: number;
  readonly height: number;
  readonly seed: number;
  /** 0 the same composition for every seed, 1 a free one. */
  readonly spread?: number;
  readonly hints?: LayoutHints;
  /** What pulls on the identity of people and creatures, by the index of the entity. */
  readonly identities?: ReadonlyMap<number, TraitPulls>;
  /** The light, where references decide it with the words. */
  readonly light?: Environment;
  /** Indexes of entities that have their places and are not painted. */
  readonly unpainted?: ReadonlySet<number>;
}

/** Composes a scene for a brief: place, light, people, creatures, things, weather. Deterministic for a seed. */
export function compose(
  brief: SceneBrief,
  { width, height, seed, spread = 1, hints = {}, identities, light, unpainted }: ComposeOptions,
): Scene {
  const scene = new Scene(
    width,
    height,
    light ?? environmentFor(brief.time, brief.weather, brief.season, brief.light),
    seed,
    spread,
  );
  brief.avoid.forEach((what) => scene.refused.add(what));
  if (unpainted) scene.unpainted = unpainted;
  const water = WATER.has(brief.place);
  const actors = actorsOf(brief, { water, indoor: ROOMS.has(brief.place) }, identities);
  const bodies = actors.filter((a) => a.brief.kind !== 'thing');
  const close = bodies.length > 0 && (brief.framing === 'portrait' || brief.framing === 'half figure');
  const crew = water && !close && brief.place !== 'market quay' ? crewOf(actors) : [];
  const onFoot = actors.some((a) => (a.zone === 'lane' || a.zone === 'small') && !crew.includes(a)) && !close;
  const place = PLACE_PAINTERS[brief.place](scene, {
    hints: withCamera(brief, hints),
    onFoot,
    named: namedThings(brief),
  });
  const staging = hinted(hints.areas ? layOutAreas(scene, place, hints.areas) : place, hints, scene);
  if (hints.areas?.alone) return scene;
  if (!close) scene.horizon = staging.horizon;
  if (close) paintClose(scene, brief, actors, staging, hints);
  else paintWhole(scene, brief, actors, crew, staging, hints);
  if (!ROOMS.has(brief.place)) paintPrecipitation(scene, staging.horizon);
  return scene;
}

const namedThings = (brief: SceneBrief): ReadonlySet<string> =>
  new Set(brief.entities.flatMap((e) => (e.kind === 'thing' ? [e.thing] : [])));

/** An eye from above sees a higher horizon, one from below a lower. */
function withCamera(brief: SceneBrief, hints: LayoutHints): LayoutHints {
  if (!brief.camera || hints.horizon) return hints;
  return { ...hints, horizon: { at: brief.camera === 'above' ? 0.32 : 0.64, share: 0.85 } };
}

function hinted(at: Staging, hints: LayoutHints, scene: Scene): Staging {
  const s = hints.subject;
  if (!s) return at;
  const head = (s.height * scene.height) / 5;
  return {
    ...at,
    y: at.y + (s.y * scene.height - at.y) * s.share,
    head: at.head + (head - at.head) * s.share,
    left: 0,
    right: scene.width,
  };
}

/** Those who are in a boat: rowers, polers, and whom the words put there. */
function crewOf(actors: readonly Actor[]): Actor[] {
  const boat = (a: Actor | undefined) => a?.brief.kind === 'thing' && a.brief.thing === 'boat';
  const aboard = actors.filter(
    (a) => boat(a.on) || (a.brief.kind === 'person' && (a.brief.action === 'pole' || a.brief.action === 'row')),
  );
  if (!aboard.length) return [];
  const poled = aboard.some((a) => a.brief.kind === 'person' && a.brief.action === 'pole');
  return poled ? actors.filter((a) => a.brief.kind !== 'thing' && a.zone !== 'air') : aboard;
}

function paintWhole(
  scene: Scene,
  brief: SceneBrief,
  all: readonly Actor[],
  crew: readonly Actor[],
  at: Staging,
  hints: LayoutHints,
): void {
  const boat = crew.length ? all.find((a) => a.brief.kind === 'thing' && a.brief.thing === 'boat') : undefined;
  const actors = all.filter((a) => !crew.includes(a) && a !== boat);
  const onSill = at.sill ? actors.filter((a) => a.zone === 'sill') : [];
  const lane = clustersOf(
    actors.filter((a) => a.zone === 'lane' || (a.zone === 'sill' && !at.sill) || a.on || carriesSomebody(a, actors)),
  );
  const small = actors.filter((a) => a.zone === 'small' && !carriesSomebody(a, actors));
  const onGround = at.table ? [] : small;
  const spots = layOut(scene, brief, [...lane, ...clustersOf(onGround)], at, hints);
  const heads = [...spots.values()];
  const taken = [...heads.map((s) => s.x), ...(at.keepOut ?? [])];
  paintWall(scene, actors, at, taken);
  onSill.forEach((a, i) =>
    paintActor(
      scene,
      a,
      { x: at.sill!.x - i * a.width * at.head, y: at.sill!.y, head: at.head * 0.8, depth: 0.1, flip: i > 0 },
      { shadow: false },
    ),
  );
  // on a bridge or a beach there is ground behind the subject
  const afloat = WATER.has(brief.place) && brief.place !== 'river bridge' && brief.place !== 'beach';
  paintBackdrop(scene, actors, at, taken, afloat);
  const air = paintAir(scene, actors, at, heads);
  paintAfloat(scene, actors, at);
  if (at.table)
    small.forEach((a, i) =>
      paintActor(
        scene,
        a,
        { x: at.table!.x + i * at.head * 0.6, y: at.table!.y, head: at.head, depth: 0.05, flip: false },
        { shadow: false },
      ),
    );
  if (crew.length && at.boat) paintCrew(scene, brief, crew, boat, at);
  standOut(scene, spots);
  for (const [cluster, spot] of [...spots].sort((a, b) => a[1].y - b[1].y))
    paintCluster(scene, cluster, turned(cluster, spot, air));
}

const carriesSomebody = (a: Actor, actors: readonly Actor[]): boolean => actors.some((b) => b.on === a);

/** Somebody who points or looks up turns to what flies there. */
function turned({ base: { brief } }: Cluster, spot: Spot, air: readonly number[]): Spot {
  const looks = brief.kind === 'person' && (brief.action === 'point' || brief.action === 'look up');
  return looks && air.length ? { ...spot, flip: air[0] < spot.x } : spot;
}

function paintCluster(scene: Scene, { base, carried }: Cluster, spot: Spot): void {
  paintActor(scene, base, spot);
  carried.forEach((a, i) => {
    const on = spotOn(spot, base);
    const spread = carried.length > 1 ? (i - (carried.length - 1) / 2) * spot.head * 1.2 : 0;
    const sits =
      a.person &&
      a.brief.kind === 'person' &&
      (!a.brief.action || a.brief.action === 'stand' || a.brief.action === 'lean');
    if (a.brief.kind === 'person' && a.brief.action === 'lean') {
      const x = spot.x - Math.sign(spot.flip ? -1 : 1) * spot.head * (base.width / 2 + 0.62);
      paintActor(scene, a, { ...spot, x });
      return;
    }
    paintActor(
      scene,
      a,
      { ...on, x: on.x + spread + seatShift(base, spot) },
      { shadow: false, action: sits ? 'sit' : undefined },
    );
  });
}

/** How far beside the middle of a thing somebody sits on it, px. */
function seatShift({ brief, height }: Actor, { head, flip }: Spot): number {
  const at = brief.kind === 'thing' ? (THINGS[brief.thing]?.seatAt ?? 0) : 0;
  return at * height * head * (flip ? -1 : 1);
}

/** Where a figure is as light as the ground behind it, mist or shade behind it sets it off. */
function standOut(scene: Scene, spots: ReadonlyMap<Cluster, Spot>): void {
  const e = scene.light;
  for (const [{ base }, { x, y, head, depth }] of spots) {
    if (!base.person) continue;
    const own = scene.grade(base.person.top.colour, depth, e.figureKeep)[0];
    const ground = scene.grade([0.55, 0.06, 110], 0.3)[0];
    if (Math.abs(own - ground) > 0.16) continue;
    const lighter = own < 0.55;
    scene
      .pen({ region: REGION.none, depth: 0.4, raw: true })
      .mist(
        x - head * 2.6,
        y - head * 2.6,
        head * 5.2,
        head * 3,
        lighter ? mixLch(e.haze, e.light, 0.3) : mixLch(e.haze, e.shadow, 0.7),
        0.42,
      );
  }
}

/** True for a thing that the painter can draw. */
export const isDrawable = (thing: string): boolean => thing in THINGS;
