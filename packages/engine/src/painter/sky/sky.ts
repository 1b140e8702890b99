import { mixLch, type Lch } from '@urbild/core';
import { spline, ribbon, wobble } from '../geometry/curve';
import { ellipse, rectangle, type Point } from '../geometry/point';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';

/** Where the sun or moon stands, if there is one, in px. */
export interface SkyLight {
  readonly x: number;
  readonly y: number;
}

/** Paints the sky down to the horizon (px): blend, stars, sun or moon at `sunX` (0..1 of the width). */
export function paintSky(scene: Scene, horizon: number, sunX = 0.68): SkyLight | undefined {
  const { width: W, light: e, random: r, unit: u } = scene;
  const pen = scene.pen({ region: REGION.sky, depth: 1, raw: true });
  const sheet = pen.shape(rectangle(-5, -5, W + 10, horizon + 14), e.sky[1], {
    gradient: {
      line: [0, 0, W * 0.06, horizon],
      stops: [
        [0, e.sky[0]],
        [0.52, e.sky[1]],
        [1, e.sky[2]],
      ],
    },
    rim: 0,
    shade: 0,
    strokes: 0.03,
    texture: 1.1,
    mottled: true,
  });
  let at: SkyLight | undefined;
  scene.inside(sheet, () => {
    for (let i = 0; i < 90 * e.stars; i++) {
      const y = horizon * Math.pow(r.next(), 1.5) * 0.9;
      const x = r.next() * W;
      const radius = r.range(0.4, 1.25) * u;
      const alpha = r.range(0.35, 0.95) * (1 - (y / horizon) * 0.7);
      pen.shape(ellipse(x, y, radius, radius, 0, 8), [0.95, 0.03, 90], { plain: true, alpha });
    }
    if (!e.sun) return;
    const { elevation, radius: size, moon } = e.sun;
    at = { x: W * sunX, y: horizon * (1 - elevation) - (moon ? 0 : size * 0.2) };
    paintSunAt(scene, at);
  });
  return at;
}

/** Paints the sun or moon of the light at a place (px), if it has one, and notes where it stands. */
export function paintSunAt(scene: Scene, { x, y }: SkyLight): void {
  const { light: e, unit: u } = scene;
  if (!e.sun) return;
  const pen = scene.pen({ region: REGION.sky, depth: 1, raw: true });
  const { radius: size, colour, glow, moon } = e.sun;
  const radius = size * u;
  scene.sun = { x, y };
  pen.glow(x, y, radius * 9, colour, 0.42 * glow);
  pen.glow(x, y, radius * 3.4, colour, 0.5 * glow);
  const disc = pen
    .with({ region: REGION.sun })
    .shape(wobble(ellipse(x, y, radius, radius), 0.8, 20, 3), colour, { plain: true });
  if (!moon) return;
  scene.inside(disc, () => {
    for (const [a, b, q] of [
      [-0.3, -0.2, 0.26],
      [0.25, 0.1, 0.2],
      [-0.1, 0.4, 0.16],
      [0.35, -0.4, 0.12],
    ]) {
      pen.shape(ellipse(x + a * radius, y + b * radius, q * radius, q * radius * 0.85), [0.86, 0.03, 110], {
        alpha: 0.4,
        plain: true,
      });
    }
  });
}

/** How a bank of clouds looks; colours are final. */
export interface CloudStyle {
  readonly top?: Lch;
  readonly bottom?: Lch;
  /** Height against the usual. */
  readonly tall?: number;
  /** Vertical spread, units. */
  readonly spread?: number;
  readonly alpha?: number;
}

/** `count` clouds about the height `y` px, `scale` 1 for clouds of 70 to 190 units. */
export function cloudBank(scene: Scene, y: number, count: number, scale: number, style: CloudStyle = {}): void {
  const { width: W, random: r, unit: u } = scene;
  for (let i = 0; i < count; i++) {
    const w = r.range(70, 190) * scale * u;
    cloud(
      scene,
      r.range(-0.05, 1.05) * W,
      y + r.bell() * (style.spread ?? 18) * u,
      w,
      w * r.range(0.16, 0.3) * (style.tall ?? 1),
      style,
    );
  }
}

function cloud(scene: Scene, x: number, y: number, w: number, h: number, style: CloudStyle): void {
  const { light: e, random: r } = scene;
  const tops: Point[] = [];
  const humps = r.integer(5, 8);
  for (let i = 0; i <= humps; i++) {
    const t = (i / humps) * 0.55 + (0.45 * (1 - Math.cos((Math.PI * i) / humps))) / 2;
    const rise = Math.pow(Math.sin(Math.PI * t), 0.85) * (0.72 + 0.28 * Math.sin(Math.PI * 2 * t + w));
    tops.push([x - w / 2 + w * t, y - h * rise * r.range(0.65, 1.12)]);
  }
  const path: Point[] = [];
  for (let i = 0; i < humps; i++) {
    const [a, b] = [tops[i], tops[i + 1]];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    for (let k = 0; k < 8; k++) {
      const t = k / 8;
      const bulge = Math.sin(Math.PI * t) * length * 0.24;
      path.push([
        a[0] + (b[0] - a[0]) * t + ((b[1] - a[1]) / length) * bulge,
        a[1] + (b[1] - a[1]) * t - ((b[0] - a[0]) / length) * bulge,
      ]);
    }
  }
  path.push(tops[humps]);
  const under: Point[] = Array.from({ length: 7 }, (_, i) => [
    x + w / 2 - (w * i) / 6,
    y + Math.sin((Math.PI * i) / 6) * h * 0.16 * r.range(0.3, 1.3),
  ]);
  scene
    .pen({ region: REGION.cloud, depth: 1, raw: true })
    .shape(
      wobble([...path, ...spline(under, false)], 0.9, 9, r.integer(0, 99)),
      style.top ?? mixLch(e.sky[2], e.light, 0.45),
      {
        toColour: style.bottom ?? mixLch(e.sky[1], e.shadow, 0.12),
        alpha: style.alpha ?? 0.93,
        volume: 0.6,
        shade: 0.4,
        rim: 0.7,
        strokes: 0,
        texture: 0.8,
        mottled: true,
      },
    );
}

/** Thin bands of cloud between two heights (px). */
export function cloudStreaks(scene: Scene, y0: number, y1: number, count: number, colour: Lch, alpha = 0.5): void {
  const { width: W, random: r, unit: u } = scene;
  const pen = scene.pen({ region: REGION.sky, depth: 1, raw: true });
  for (let i = 0; i < count; i++) {
    const y = y0 + (y1 - y0) * r.next();
    const x = r.range(-0.1, 1) * W;
    const w = r.range(0.15, 0.55) * W;
    const h = r.range(2, 8) * u * (1 - ((y - y0) / (y1 - y0)) * 0.5);
    const path = ribbon(
      [
        [x, y],
        [x + w * 0.3, y - h * 0.5],
        [x + w * 0.7, y + h * 0.2],
        [x + w, y - h * 0.2],
      ],
      [0.5, h, h * 0.7, 0.5],
    );
    pen.shape(wobble(path, 0.9, 12, i), colour, { alpha: alpha * r.range(0.6, 1), rim: 0.6, shade: 0, strokes: 0 });
  }
}

/** The clouds that the weather brings, above a horizon at `horizon` px. */
export function paintClouds(scene: Scene, horizon: number): void {
  const { light: e } = scene;
  switch (e.weather) {
    case 'clear':
    case 'snow':
      cloudBank(scene, horizon * 0.45, 4, 1.6, { spread: 40, alpha: e.weather === 'snow' ? 0.6 : 0.85 });
      cloudStreaks(scene, horizon * 0.25, horizon * 0.85, 7, mixLch(e.sky[2], e.light, 0.4), 0.45);
      return;
    case 'wind':
      cloudBank(scene, horizon * 0.5, 6, 1, { spread: 50, tall: 0.7 });
      cloudStreaks(scene, horizon * 0.08, horizon * 0.7, 22, mixLch(e.sky[2], e.light, 0.4), 0.5);
      return;
    case 'fog':
      cloudStreaks(scene, horizon * 0.3, horizon * 0.95, 8, mixLch(e.sky[2], e.haze, 0.5), 0.4);
      return;
    case 'cloudy':
      for (let i = 0; i < 3; i++) {
        const k = i / 2;
        cloudBank(scene, horizon * (0.15 + 0.3 * i), 5, 2.2 - 0.5 * i, {
          spread: 26,
          top: mixLch([0.82, 0.015, 240], e.sky[2], 0.35 + 0.3 * k),
          bottom: mixLch([0.62, 0.02, 250], e.sky[1], 0.35 + 0.2 * k),
          alpha: 0.9,
        });
      }
      return;
    case 'rain':
      for (let i = 0; i < 4; i++) {
        const k = i / 3;
        cloudBank(scene, horizon * (0.05 + 0.22 * i), 5, 2.7 - 0.5 * i, {
          tall: 1.3,
          spread: 24,
          top: mixLch([e.sky[1][0] * 0.75, 0.02, 245], e.haze, 0.25 + 0.5 * k),
          bottom: mixLch([e.sky[1][0] * 0.6, 0.025, 250], e.haze, 0.2 + 0.5 * k),
          alpha: 0.9,
        });
      }
      return;
    case 'storm':
      cloudBank(scene, horizon * 0.16, 6, 2.6, {
        top: [0.42, 0.035, 245],
        bottom: [0.27, 0.035, 255],
        tall: 1.4,
        spread: 40,
      });
      cloudBank(scene, horizon * 0.4, 6, 2, {
        top: [0.52, 0.04, 225],
        bottom: [0.36, 0.035, 245],
        tall: 1.2,
        spread: 30,
      });
      cloudBank(scene, horizon * 0.64, 6, 1.4, { top: [0.6, 0.045, 180], bottom: [0.44, 0.04, 215], spread: 16 });
      cloudBank(scene, horizon * 0.84, 5, 0.9, {
        top: [0.68, 0.055, 140],
        bottom: [0.55, 0.05, 180],
        spread: 8,
        alpha: 0.8,
      });
  }
}
