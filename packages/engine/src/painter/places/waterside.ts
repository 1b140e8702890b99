import { mixLch, smoothstep, type Lch } from '@urbild/core';
import { bank, islet, ridge, treeline } from '../land/land';
import { meadowFlecks, reedBank } from '../land/plants';
import { jetty, sailingBoat } from '../props/boats';
import { stiltHouse } from '../props/stiltHouse';
import { lighthouse, mill } from '../props/towers';
import { rock } from '../land/rock';
import { mist } from '../sky/precipitation';
import { cloudStreaks, paintClouds, paintSky } from '../sky/sky';
import type { Scene } from '../stage/scene';
import { glitter, paintWater, ripples } from '../water/water';
import { roughSea } from '../water/waves';
import { horizonOf, type Place } from './place';

const FRAME_GREEN: Lch = [0.27, 0.055, 130];

/** Dark reeds in the lower corners hold the picture together. */
function foregroundReeds(scene: Scene, leftEnd: number, rightStart: number, height: number): void {
  const { width: W, height: H, unit: u } = scene;
  const style = { step: 11, width: 3.6 * u, heads: 0.1, lit: 0.22 };
  reedBank(scene, -12, W * leftEnd, () => H + 6 * u, height * u, FRAME_GREEN, 0, {
    ...style,
    count: 6,
    wind: 0.12,
    scale: (x) => 0.35 + 0.85 * smoothstep(W * leftEnd, 0, x),
  });
  reedBank(scene, W * rightStart, W * 1.03, () => H + 6 * u, height * 0.8 * u, FRAME_GREEN, 0, {
    ...style,
    count: 5,
    wind: -0.1,
    scale: (x) => 0.3 + 0.8 * smoothstep(W * rightStart, W, x),
  });
}

/** Calm water under a sky, or a rough sea in a storm. */
function openWater(scene: Scene, horizon: number, sunX: number, count = 120): void {
  const sun = paintSky(scene, horizon, sunX);
  paintClouds(scene, horizon);
  ridge(scene, horizon, 24, 150, [0.46, 0.06, 250], 0.8);
  paintWater(scene, horizon);
  glitter(scene, horizon, sun, 110);
  ripples(scene, horizon, horizon + 4 * scene.unit, scene.height, count, { alpha: 0.36 });
}

export const marsh: Place = (scene, hints) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, hints, 0.45);
  openWater(scene, hz, 0.7);
  treeline(scene, hz + 1, 14 * u, [0.42, 0.07, 165], 0.7, -0.02, 0.46);
  mill(scene, W * 0.2, hz + 4 * u, 92 * u, 0.56, 0.35, [0.5, 0.05, 50], true);
  stiltHouse(scene, W * 0.86, hz + 20 * u, 96 * u, 0.45, { smoke: true });
  islet(scene, W * 0.52, W * 0.78, hz + 34 * u, 8 * u, 0.4, [0.52, 0.08, 110]);
  reedBank(scene, W * 0.53, W * 0.77, () => hz + 37 * u, 18 * u, [0.55, 0.08, 95], 0.38, {
    step: 6,
    width: 1.2 * u,
    wind: 0.15,
  });
  mist(scene, hz + 8 * u, 22 * u, 0.42);
  const shore = H * 0.8;
  bank(
    scene,
    [
      [-20, H + 20, 1],
      [-20, shore - 6 * u],
      [W * 0.4, shore - 16 * u],
      [W * 0.8, shore - 4 * u],
      [W * 1.05, shore + 2 * u],
      [W * 1.05, H + 20, 1],
    ],
    [0.48, 0.085, 112],
    0.12,
  );
  reedBank(scene, -10, W * 0.2, (x) => shore - 6 * u - x * 0.03, 60 * u, [0.5, 0.085, 96], 0.12, {
    width: 2 * u,
    wind: 0.16,
    plumes: 0.12,
    scale: (x) => 0.5 + 0.6 * smoothstep(W * 0.2, 0, x),
  });
  meadowFlecks(scene, shore, H, 60, [0.52, 0.09, 105], 0.12);
  foregroundReeds(scene, 0.1, 0.82, 110);
  return {
    x: W * 0.42,
    y: shore + 26 * u,
    head: 52 * u,
    depth: 0.05,
    horizon: hz,
    boat: { x: W * 0.5, y: hz + 128 * u },
  };
};

export const reedChannel: Place = (scene, hints) => {
  const { width: W, unit: u } = scene;
  const hz = horizonOf(scene, hints, 0.44);
  openWater(scene, hz, 0.56, 110);
  treeline(scene, hz + 1, 16 * u, [0.42, 0.07, 170], 0.68, 0, 1.02);
  const green: Lch = [0.52, 0.08, 108];
  for (const [x0, x1, y, h, depth, tall, wind] of [
    [-0.06, 0.4, 9, 7, 0.54, 17, 0.15],
    [0.64, 1.1, 15, 8, 0.48, 20, 0.15],
    [-0.1, 0.32, 58, 18, 0.3, 50, 0.2],
    [0.74, 1.2, 76, 22, 0.24, 66, -0.16],
  ]) {
    islet(scene, W * x0, W * x1, hz + y * u, h * u, depth, green);
    reedBank(scene, W * x0, W * x1, () => hz + (y + 4) * u, tall * u, [0.53, 0.085, 92], depth - 0.02, {
      step: depth > 0.4 ? 6 : 9,
      count: 8,
      width: (depth > 0.4 ? 1.2 : 2.1) * u,
      wind,
      plumes: 0.13,
      scale: (x) =>
        x0 < 0.3 ? 0.55 + 0.6 * smoothstep(W * x1, W * x0, x) : 0.5 + 0.65 * smoothstep(W * x0, W * x1, x),
    });
  }
  mist(scene, hz + 10 * u, 24 * u, 0.45);
  foregroundReeds(scene, 0.3, 0.84, 165);
  return {
    x: W * 0.56,
    y: hz + 150 * u,
    head: 34 * u,
    depth: 0.05,
    horizon: hz,
    boat: { x: W * 0.53, y: hz + 148 * u },
  };
};

export const stiltVillage: Place = (scene, hints) => {
  const { width: W, height: H, unit: u, random: r, light: e } = scene;
  const hz = horizonOf(scene, hints, 0.46);
  openWater(scene, hz, 0.44);
  treeline(scene, hz + 1, 12 * u, [0.4, 0.05, 200], 0.66, 0.2, 0.66);
  for (const [x, y, s, depth] of [
    [0.6, 5, 46, 0.6],
    [0.24, 6, 44, 0.6],
    [0.7, 11, 66, 0.48],
    [0.32, 10, 56, 0.5],
  ]) {
    stiltHouse(scene, W * (x + r.range(-0.015, 0.015)), hz + y * u, s * u, depth, {
      smoke: r.chance(0.5),
      flip: r.chance(0.5),
    });
  }
  mist(scene, hz + 8 * u, 20 * u, 0.3);
  stiltHouse(scene, W * 0.9, hz + 48 * u, 158 * u, 0.26, { flip: true, lamp: true, wall: [0.55, 0.09, 45] });
  stiltHouse(scene, W * 0.08, hz + 90 * u, 226 * u, 0.1, {
    lamp: true,
    wall: [0.5, 0.06, 200],
    roof: [0.42, 0.06, 35],
  });
  cloudStreaks(scene, hz * 0.3, hz * 0.6, 2, mixLch(e.sky[2], e.light, 0.35), 0.25);
  foregroundReeds(scene, 0.08, 0.86, 90);
  return { x: W * 0.44, y: H * 0.82, head: 46 * u, depth: 0.05, horizon: hz, boat: { x: W * 0.53, y: hz + 172 * u } };
};

export const stiltVillageOnFoot: Place = (scene, hints) => {
  const staging = stiltVillage(scene, hints);
  const { width: W, height: H, unit: u } = scene;
  const deck = H * 0.8;
  jetty(scene, W * 0.16, W * 1.05, deck, 0.06, 30 * u, 60 * u);
  return { ...staging, y: deck + 8 * u };
};

export const pier: Place = (scene, hints) => {
  const { width: W, height: H, unit: u } = scene;
  const hz = horizonOf(scene, hints, 0.47);
  openWater(scene, hz, 0.75);
  treeline(scene, hz + 1, 13 * u, [0.42, 0.06, 165], 0.68, 0.4, 1.05);
  rock(scene, W * 0.14, hz + 9 * u, 84 * u, 15 * u, [0.5, 0.02, 260], 0.48);
  lighthouse(scene, W * 0.14, hz + 3 * u, 128 * u, 0.5);
  stiltHouse(scene, W * 0.86, hz + 26 * u, 150 * u, 0.3, { smoke: true, flip: true, wall: [0.52, 0.11, 28] });
  stiltHouse(scene, W * 0.62, hz + 12 * u, 80 * u, 0.45, { smoke: true, wall: [0.62, 0.09, 80] });
  const deck = H * 0.79;
  jetty(scene, -20, W * 1.05, deck, 0.06, 32 * u, 60 * u);
  return { x: W * 0.42, y: deck + 9 * u, head: 48 * u, depth: 0.05, horizon: hz };
};

export const openSea: Place = (scene, hints) => {
  const { width: W, height: H, unit: u, light: e } = scene;
  const hz = horizonOf(scene, hints, 0.48);
  const sun = paintSky(scene, hz, 0.7);
  paintClouds(scene, hz);
  paintWater(scene, hz);
  if (e.weather === 'storm') {
    roughSea(scene, hz);
  } else {
    glitter(scene, hz, sun, 140);
    sailingBoat(scene, W * 0.26, hz + 20 * u, 80 * u, 0.5);
    ripples(scene, hz, hz + 3 * u, H, 220, { alpha: 0.42 });
  }
  rock(scene, W * 0.12, H + 30 * u, 330 * u, 120 * u, [0.42, 0.03, 258], 0.05);
  rock(scene, W * 0.5, H + 40 * u, 620 * u, 118 * u, [0.4, 0.03, 258], 0.03, 11, 0.35);
  return { x: W * 0.46, y: H * 0.875, head: 46 * u, depth: 0.02, horizon: hz, boat: { x: W * 0.5, y: hz + 130 * u } };
};
