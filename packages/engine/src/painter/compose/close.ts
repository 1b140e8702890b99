import type { SceneBrief } from '@urbild/core';
import { paintPerson } from '../people/paintPerson';
import type { LayoutHints, Staging } from '../places';
import { seenBy } from '../scene/camera';
import type { Scene } from '../scene/scene';
import { largerBy, type Actor } from './actors';
import { paintActor, YAW } from './paintActor';

/** Moves the place nearer, out of focus, behind a portrait or half figure. */
function stepNearer(scene: Scene, at: Staging, k: number): void {
  const { width: W, height: H } = scene;
  const camera = {
    scale: k,
    dx: -(at.x * k - W * 0.36) * 0.6,
    dy: -(H * 0.46 * k - H * 0.5),
    haze: scene.light.haze,
    veil: 0.14,
  };
  camera.dx = Math.min(0, Math.max(W - W * k, camera.dx));
  camera.dy = Math.min(0, Math.max(H - H * k, camera.dy));
  scene.root.children.splice(0, Infinity, ...seenBy(camera, scene.root.children));
  scene.lamps.length = 0;
}

/** A portrait or half figure before the place seen from nearer. */
export function paintClose(
  scene: Scene,
  brief: SceneBrief,
  actors: readonly Actor[],
  at: Staging,
  hints: LayoutHints,
): void {
  const { width: W, height: H } = scene;
  const portrait = brief.framing === 'portrait';
  stepNearer(scene, at, portrait ? 1.5 : 1.22);
  const people = actors.filter((a) => a.person).slice(0, 3);
  const creatures = actors.filter((a) => a.brief.kind === 'creature').slice(0, 2);
  if (!people.length) return paintCloseCreature(scene, brief, creatures[0]);
  creatures.forEach((c, i) => {
    const flies = c.zone === 'air';
    const size = flies ? H * 0.08 : Math.max(H * 0.3, Math.min(H * 0.86, (c.height / 5) * H * 1.35));
    const y = flies ? H * (0.16 + 0.1 * i) : H * (c.height > 3 ? 1.14 : 1);
    const x = flies ? W * (0.16 + 0.68 * i) : W * (0.87 - i * 0.74);
    paintActor(scene, c, { x, y, head: size / c.height, depth: 0.02, flip: i === 0 }, { shadow: false });
  });
  const head =
    (portrait ? Math.min(H * 0.42, W * 0.5) : Math.min(H * 0.25, W * 0.3)) * [1, 0.84, 0.7][people.length - 1];
  const y = portrait ? H * 0.74 : H * 0.52;
  people.forEach((a, i) => {
    if (a.brief.kind !== 'person') return;
    const { action: said, view, expression, holds } = a.brief;
    const still = said === undefined || ['pole', 'walk', 'row', 'run', 'sit', 'kneel', 'sleep', 'lean'].includes(said);
    const alone = people.length === 1;
    paintPerson(scene, a.person!, {
      x:
        (i === 0 ? (hints.stride?.dx ?? 0) * W : 0) +
        (alone ? W * (creatures.length ? 0.4 : portrait ? 0.51 : 0.47) : W * (0.26 + (0.48 * i) / (people.length - 1))),
      y: y + (1 - Math.min(1, a.person!.stature)) * head * (alone ? 0.2 : 1.1),
      head:
        head *
        (alone ? 1 : Math.max(0.86, Math.min(1.05, a.person!.stature))) *
        Math.sqrt(largerBy(a.brief.prominence)),
      depth: 0,
      yaw: YAW[view ?? 'three-quarter'],
      expression: expression ?? 'smile',
      flip: i === 0 && hints.stride ? hints.stride.left : i > 0 && i === people.length - 1,
      portrait: portrait || undefined,
      action: still ? 'stand' : said,
      asleep: said === 'sleep',
      holds: portrait && !holds.length ? [] : holds,
      entity: a.entity,
      pose: i === 0 ? hints.pose : undefined,
    });
  });
}

/** A creature fills the picture. */
function paintCloseCreature(scene: Scene, brief: SceneBrief, a: Actor | undefined): void {
  if (!a) return;
  const { width: W, height: H } = scene;
  const portrait = brief.framing === 'portrait';
  const size = Math.min(H * (portrait ? 0.9 : 0.78), ((W * 0.8) / a.width) * a.height);
  paintActor(scene, a, {
    x: W * 0.47,
    y: H * (portrait ? 0.99 : 0.95),
    head: size / a.height,
    depth: 0.01,
    flip: false,
  });
}
