import type { SceneBrief } from '@urbild/core';
import { FigureFrame } from '../people/figure';
import { CAST } from '../people/cast';
import { paintLantern } from '../people/pose/heldThings';
import { wobble } from '../geometry/curve';
import { rectangle } from '../geometry/point';
import type { Staging } from '../places';
import { punt } from '../things/boats';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { ripples } from '../water/water';
import type { Actor } from './actors';
import { paintActor } from './paintActor';

/** A boat with those in it: the poler or rower astern, the others forward, parcels between. */
export function paintCrew(
  scene: Scene,
  brief: SceneBrief,
  crew: readonly Actor[],
  boat: Actor | undefined,
  at: Staging,
): void {
  const { unit: u } = scene;
  const { x, y } = at.boat!;
  const wide = brief.framing === 'wide view' ? 0.66 : 1;
  const head = 33 * u * wide;
  const depth = 0.04;
  const people = crew.filter((a) => a.person);
  const others = crew.filter((a) => !a.person);
  const rowing = people.some((a) => a.brief.kind === 'person' && a.brief.action === 'row');
  const colour = boat?.brief.kind === 'thing' ? boat.brief.colour?.lch : undefined;
  const paintBoat = () =>
    punt(scene, {
      x,
      y,
      s: head * 9.2,
      depth,
      colour: colour ?? [0.46, 0.075, 195],
      flip: false,
      load: () => {
        others.forEach((a, i) =>
          paintActor(
            scene,
            a,
            { x: x + head * (2.5 - i * 1.3), y: y - head * 0.22, head, depth, flip: false },
            { shadow: false },
          ),
        );
        if (!rowing && people.length < 3) paintParcels(scene, x, y, head, depth);
        people.forEach((a, i) => {
          const action = a.brief.kind === 'person' ? a.brief.action : undefined;
          const stands = i === 0 && action === 'pole';
          const doing = stands
            ? 'pole'
            : action === 'row'
              ? 'row'
              : action === 'wave' || action === 'read' || action === 'point' || action === 'hold'
                ? action
                : rowing || i > 0
                  ? 'sit'
                  : 'stand';
          const sits = doing === 'row' || doing === 'sit';
          paintActor(
            scene,
            a,
            {
              x: x - head * (rowing ? 0.6 - i * 2 : 1.9 - i * 1.9),
              y: y - head * (sits ? 0.72 : 0.3),
              head,
              depth,
              flip: i > 0,
            },
            { shadow: false, action: doing },
          );
        });
        if (scene.light.lamps) bowLamp(scene, x, y, head, depth);
      },
    });
  scene.group({ y, sway: 2, tint: 0.36, alpha: 0.7 }, () =>
    // a boat that nobody named carries them all the same
    scene.item({ entity: boat?.entity ?? -1, kind: 'thing', what: 'boat' }, paintBoat),
  );
  ripples(scene, at.horizon, y - 4 * u, y + 12 * u, 30, {
    centre: x / scene.width,
    spread: 0.18,
    alpha: 0.6,
    light: 0.6,
  });
}

function paintParcels(scene: Scene, x: number, y: number, head: number, depth: number): void {
  const pen = scene.pen({ region: REGION.prop, depth });
  for (const [dx, w, h, colour] of [
    [0.45, 0.95, 0.62, [0.62, 0.06, 70]],
    [1.12, 0.7, 0.5, [0.55, 0.08, 40]],
  ] as const) {
    const px = x + head * dx;
    const py = y - head * 0.4;
    pen.shape(wobble(rectangle(px - (head * w) / 2, py - head * h, head * w, head * h), 0.7, 9, dx), colour, {
      outline: 0.9,
    });
    pen.line(
      [
        [px, py - head * h],
        [px, py],
      ],
      head * 0.05,
      [0.85, 0.03, 85],
    );
  }
}

function bowLamp(scene: Scene, x: number, y: number, head: number, depth: number): void {
  const px = x + head * 4.4;
  const py = y - head * 2.4;
  scene.pen({ region: REGION.wood, depth }).line(
    [
      [px - head * 0.15, y - head * 0.8],
      [px, py],
      [px + head * 0.25, py - head * 0.1],
    ],
    head * 0.13,
    [0.46, 0.07, 62],
    { taper: [0, 0] },
  );
  paintLantern(
    new FigureFrame(scene, CAST.Ilse, { x: px + head * 0.25, y: py - head * 0.1, head, depth }),
    [0, 0],
    1.15,
    9,
  );
}
