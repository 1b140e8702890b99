import { adjustLch, mixLch, type Action, type Lch, type SceneBrief, type SubjectName } from '@urbild/core';
import { wobble } from './geometry/curve';
import { ellipse, rectangle } from './geometry/point';
import { gull, heron } from './creatures/birds';
import { FigureFrame } from './figures/figure';
import { paintLantern } from './figures/heldThings';
import { paintPerson } from './figures/paintPerson';
import { CAST } from './figures/person';
import { POSES, SOLES } from './figures/poses';
import { environmentFor } from './light/environment';
import { placeFor, type LayoutHints, type Staging } from './places';
import { punt, sailingBoat } from './props/boats';
import { paintPrecipitation } from './sky/precipitation';
import { seenBy } from './stage/camera';
import { REGION } from './stage/region';
import { Scene } from './stage/scene';
import { ripples } from './water/water';

type Person = Exclude<SubjectName, 'Brom'>;

const YAW = { front: 0, 'three-quarter': 34, profile: 84 } as const;

/** Composes a scene for a brief: place, light, subjects, things, weather. Deterministic for a seed. */
export function compose(
  brief: SceneBrief,
  width: number,
  height: number,
  seed: number,
  hints: LayoutHints = {},
): Scene {
  const scene = new Scene(width, height, environmentFor(brief.time, brief.weather, brief.season), seed);
  const people = brief.subjects.filter((s): s is Person => s !== 'Brom');
  const close = people.length > 0 && (brief.framing === 'portrait' || brief.framing === 'half figure');
  const inBoat = brief.action === 'pole' || (brief.things.includes('boat') && people.length > 0);
  const staging = placeFor(brief.place, people.length > 0 && !inBoat && !close)(scene, hints);
  paintThings(scene, brief, staging);
  if (close) paintClose(scene, brief, people, staging);
  else if (inBoat && staging.boat) paintCrew(scene, brief, people, staging);
  else paintOnFoot(scene, brief, people, staging);
  paintPrecipitation(scene, staging.horizon);
  return scene;
}

function paintThings(scene: Scene, brief: SceneBrief, at: Staging): void {
  const { width: W, unit: u, random: r, light: e } = scene;
  if (brief.things.includes('gulls')) {
    const colour: Lch = e.sky[1][0] > 0.6 ? [0.45, 0.05, 285] : [0.9, 0.01, 90];
    for (let i = 0; i < 5; i++)
      gull(scene, W * r.range(0.28, 0.62), at.horizon * r.range(0.2, 0.6), r.range(5, 10) * u, colour, 0.3);
  }
  if (brief.things.includes('sailing boat') && at.boat) sailingBoat(scene, W * 0.3, at.horizon + 24 * u, 84 * u, 0.46);
  if (brief.things.includes('boat') && at.boat && !brief.subjects.some((s) => s !== 'Brom')) {
    scene.group({ y: at.boat.y, sway: 2, tint: 0.35, alpha: 0.7 }, () =>
      punt(scene, at.boat!.x, at.boat!.y, 210 * u, 0.06),
    );
  }
}

/** A portrait or half figure before the place seen from nearer. */
function paintClose(scene: Scene, brief: SceneBrief, people: readonly Person[], at: Staging): void {
  const { width: W, height: H } = scene;
  const portrait = brief.framing === 'portrait';
  const k = portrait ? 1.5 : 1.22;
  const camera = {
    scale: k,
    dx: -(at.x * k - W * 0.36) * 0.6,
    dy: -(H * 0.46 * k - H * 0.5),
    haze: scene.light.haze,
    veil: 0.14,
  };
  scene.root.children.splice(0, Infinity, ...seenBy(camera, scene.root.children));
  scene.lamps.length = 0;
  const head = (portrait ? Math.min(H * 0.42, W * 0.5) : Math.min(H * 0.25, W * 0.3)) * (people.length > 1 ? 0.86 : 1);
  const y = portrait ? H * 0.74 : H * 0.52;
  const heronStands = brief.subjects.includes('Brom');
  if (heronStands) heron(scene, W * 0.87, H * 1.14, H * 0.8, 0.02, { flip: true });
  people.forEach((name, i) => {
    const person = CAST[name];
    const x =
      people.length === 1
        ? W * (heronStands ? 0.4 : portrait ? 0.51 : 0.47)
        : W * (0.3 + (0.42 * i) / (people.length - 1));
    const action: Action = brief.action === 'pole' || brief.action === 'walk' ? 'stand' : brief.action;
    const pose = portrait || i > 0 ? undefined : POSES[action];
    paintPerson(
      scene,
      person,
      {
        x,
        y: y + (1 - person.stature) * head * 0.6,
        head,
        depth: 0,
        yaw: YAW[brief.view],
        expression: brief.expression,
        flip: i > 0,
        portrait,
      },
      pose,
    );
  });
}

/** A punt with its crew: the poler astern, the heron at the bow, parcels between. */
function paintCrew(scene: Scene, brief: SceneBrief, people: readonly Person[], at: Staging): void {
  const { unit: u } = scene;
  const boat = at.boat!;
  const wide = brief.framing === 'wide view' ? 0.66 : 1;
  const head = 33 * u * wide;
  const depth = 0.04;
  scene.group({ y: boat.y, sway: 2, tint: 0.36, alpha: 0.7 }, () =>
    punt(scene, boat.x, boat.y, head * 9.2, depth, [0.46, 0.075, 195], false, () => {
      if (brief.subjects.includes('Brom')) heron(scene, boat.x + head * 2.5, boat.y - head * 0.22, head * 3.3, depth);
      paintParcels(scene, boat.x, boat.y, head, depth);
      people.forEach((name, i) => {
        const person = CAST[name];
        const size = head * person.stature;
        const pose =
          i === 0
            ? POSES[brief.action === 'pole' ? 'pole' : brief.action === 'walk' ? 'stand' : brief.action]
            : POSES.stand;
        paintPerson(
          scene,
          person,
          {
            x: boat.x - head * (1.9 - i * 2),
            y: boat.y - head * 0.3 - size * SOLES,
            head: size,
            depth,
            yaw: YAW[brief.view],
            expression: brief.expression,
            flip: i > 0,
          },
          pose,
        );
      });
      if (scene.light.lamps) bowLamp(scene, boat.x, boat.y, head, depth);
    }),
  );
  ripples(scene, at.horizon, boat.y - 4 * u, boat.y + 12 * u, 30, {
    centre: boat.x / scene.width,
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
    new FigureFrame(scene, CAST.Ilse, px + head * 0.25, py - head * 0.1, head, depth, false),
    [0, 0],
    1.15,
    9,
  );
}

function paintOnFoot(scene: Scene, brief: SceneBrief, people: readonly Person[], at: Staging): void {
  const { unit: u, light: e } = scene;
  const scale = brief.framing === 'wide view' ? 0.66 : 1;
  const head = at.head * scale;
  const heronStands = brief.subjects.includes('Brom');
  const shadow = (x: number, w: number, alpha: number) =>
    scene
      .pen({ region: REGION.none, depth: at.depth, raw: true })
      .shape(
        ellipse(x + e.direction[0] * 12 * u, at.y + 2 * u, w, w * 0.11),
        mixLch(adjustLch([0.3, 0.05, 270], 0), e.shadow, 0.5),
        { alpha, plain: true },
      );
  let x = at.x - (people.length - 1) * head * 1.1;
  people.forEach((name, i) => {
    const person = CAST[name];
    const size = head * person.stature;
    shadow(x, size * 1.25, 0.34);
    const action: Action = i > 0 || brief.action === 'pole' ? (i > 0 ? 'stand' : 'walk') : brief.action;
    paintPerson(
      scene,
      person,
      {
        x,
        y: at.y - SOLES * size,
        head: size,
        depth: at.depth,
        yaw: YAW[brief.view],
        expression: brief.expression,
        flip: i > 0,
      },
      POSES[action],
    );
    x += head * 2.7;
  });
  if (!heronStands) return;
  const alone = people.length === 0;
  const hx = alone ? scene.width * 0.62 : x + head * 0.4;
  const size = head * (alone ? 3.9 : 3.2);
  shadow(hx, size * 0.24, 0.28);
  heron(scene, hx, at.y + 2 * u, size, at.depth, { flip: alone || scene.seed % 2 === 0 });
}
