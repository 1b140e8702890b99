import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { EYE, type CreatureDrawing, type CreatureLook } from './creature';
import type { Kit } from '../scene/kit';

const A = REGION.animal;
const eye = (kit: Kit, u: number, v: number, r: number) => {
  kit.disc(REGION.eye, u, v, r, r * 1.15, EYE, { plain: true });
  kit.bright(REGION.eye, u + r * 0.3, v + r * 0.4, r * 0.35, r * 0.35, [0.98, 0.01, 90]);
};
const creature = (
  height: number,
  width: number,
  lives: CreatureDrawing['lives'],
  paint: (kit: Kit, look: CreatureLook) => void,
): CreatureDrawing => ({ height, width, lives, paint });

const mouse = creature(0.55, 1.4, 'ground', (kit, look) => {
  const coat: Lch = look.colour ?? [0.62, 0.025, 60];
  kit.line(A, '-.5,.1 -.75,.06 -.85,.25 -1,.22', 0.045, [0.72, 0.07, 20]);
  kit.shape(A, '-.55,.08 -.5,.45 -.15,.68 .2,.55 .3,.2 .2,.02 -.4,.02', coat, { volume: 1, rim: 1.3 });
  for (const u of [0.1, 0.28]) {
    kit.disc(A, u, 0.78, 0.17, 0.18, adjustLch(coat, -0.04));
    kit.disc(A, u, 0.77, 0.1, 0.11, [0.74, 0.09, 15], { outline: 0 });
  }
  kit.shape(A, '.02,.4 .1,.68 .38,.68 .66,.42! .5,.28 .2,.25', coat, { volume: 0.8 });
  kit.disc(A, 0.66, 0.42, 0.05, 0.045, [0.6, 0.13, 15], { plain: true });
  eye(kit, 0.36, 0.53, 0.05);
  for (const u of [0, 0.22]) kit.disc(A, u, 0.03, 0.08, 0.04, [0.78, 0.07, 20]);
});

const hedgehog = creature(0.7, 1.6, 'ground', (kit, look) => {
  const spines: Lch = look.colour ?? [0.42, 0.04, 55];
  kit.shape(A, '.25,.1 .3,.5 .55,.45 .86,.22! .7,.08', [0.72, 0.06, 65], { volume: 0.7 });
  kit.shape(A, '-.7,.05 -.68,.5 -.3,.9 .15,.88 .42,.6 .4,.2 .3,.05', spines, { volume: 0.9, strokes: 1 });
  for (let i = 0; i < 46; i++) {
    const a = (i * 2.4) % 3.1;
    const r = 0.35 + ((i * 37) % 50) / 90;
    const [u, v] = [-0.15 + Math.cos(a) * r * 0.62, 0.12 + Math.sin(a) * r * 0.8];
    kit.line(
      A,
      `${u},${v} ${u + Math.cos(a) * 0.12},${v + Math.sin(a) * 0.14}`,
      0.022,
      i % 2 ? adjustLch(spines, 0.22) : adjustLch(spines, -0.14),
    );
  }
  kit.disc(A, 0.86, 0.22, 0.05, 0.05, EYE, { plain: true });
  eye(kit, 0.56, 0.33, 0.045);
  for (const u of [-0.4, 0.2]) kit.disc(A, u, 0.03, 0.1, 0.05, [0.6, 0.06, 60]);
});

const frog = creature(0.5, 1.4, 'ground', (kit, look) => {
  const coat: Lch = look.colour ?? [0.6, 0.14, 135];
  kit.shape(A, '-.6,.05 -.6,.4 -.3,.5 -.1,.2 -.3,.02', adjustLch(coat, -0.06));
  kit.shape(A, '-.45,.1 -.3,.5 .1,.82 .5,.75 .6,.45 .4,.1', coat, { volume: 0.9, rim: 1.3 });
  kit.shape(A, '.1,.2 .3,.45 .58,.42 .45,.12', mixLch(coat, [0.93, 0.06, 110], 0.6), { outline: 0 });
  for (const u of [0.12, 0.42]) {
    kit.disc(A, u, 0.86, 0.13, 0.14, coat);
    eye(kit, u + 0.02, 0.88, 0.07);
  }
  kit.line(A, '.1,.52 .35,.46 .6,.54', 0.03, adjustLch(coat, -0.2));
  for (const u of [0.2, 0.42]) kit.band(A, `${u},.3 ${u + 0.05},.03`, [0.12, 0.14], adjustLch(coat, -0.03));
});

const turtle = creature(0.9, 1.7, 'ground', (kit, look) => {
  const shell: Lch = look.colour ?? [0.48, 0.07, 95];
  const skin: Lch = [0.62, 0.08, 115];
  for (const u of [-0.5, 0.35]) kit.band(A, `${u},.3 ${u + 0.04},.02`, [0.2, 0.22], skin);
  kit.band(A, '.5,.3 .75,.5 .86,.62', [0.2, 0.16, 0.2], skin);
  kit.disc(A, 0.88, 0.64, 0.15, 0.13, skin);
  eye(kit, 0.94, 0.67, 0.03);
  const dome = kit.shape(A, '-.75,.22 -.6,.65 -.2,.95 .2,.92 .55,.6 .66,.24 0,.16', shell, { volume: 1, rim: 1.3 });
  kit.inside(dome, () => {
    for (const [u, v] of [
      [-0.42, 0.5],
      [-0.05, 0.62],
      [0.32, 0.5],
      [-0.2, 0.32],
      [0.14, 0.32],
    ])
      kit.poly(
        A,
        `${u - 0.14},${v} ${u - 0.07},${v + 0.14} ${u + 0.07},${v + 0.14} ${u + 0.14},${v} ${u + 0.07},${v - 0.13} ${u - 0.07},${v - 0.13}`,
        adjustLch(shell, 0.08),
      );
  });
});

const snail = creature(0.4, 1.6, 'ground', (kit, look) => {
  const skin: Lch = [0.7, 0.05, 75];
  kit.shape(A, '-.8,.02! -.4,.2 .4,.22 .6,.75 .78,.7 .75,.1 .5,.02', skin);
  for (const u of [0.66, 0.76]) kit.line(A, `${u},.72 ${u + 0.06},1`, 0.04, skin);
  kit.disc(A, -0.05, 0.5, 0.46, 0.44, look.colour ?? [0.6, 0.11, 50], { volume: 1 });
  kit.line(
    A,
    '-.05,.5 .08,.58 -.02,.7 -.2,.6 -.2,.36 .05,.26 .26,.45',
    0.04,
    adjustLch(look.colour ?? [0.6, 0.11, 50], -0.18),
  );
});

const crab = creature(0.5, 2, 'ground', (kit, look) => {
  const coat: Lch = look.colour ?? [0.6, 0.17, 33];
  for (const s of [-1, 1]) {
    for (const k of [0, 1, 2])
      kit.line(
        A,
        `${s * 0.4},.35 ${s * (0.66 + k * 0.1)},${0.42 - k * 0.08} ${s * (0.72 + k * 0.12)},.02`,
        0.06,
        adjustLch(coat, -0.06),
      );
    kit.band(A, `${s * 0.45},.5 ${s * 0.8},.75 ${s * 0.75},1`, [0.1, 0.13, 0.1], coat);
    kit.shape(A, `${s * 0.62},.95 ${s * 0.7},1.3 ${s * 0.86},1.1 ${s * 0.98},1.25 ${s * 0.9},.92`, coat);
    kit.line(A, `${s * 0.14},.7 ${s * 0.16},.9`, 0.05, coat);
    eye(kit, s * 0.16, 0.94, 0.06);
  }
  kit.disc(A, 0, 0.45, 0.55, 0.32, coat, { volume: 0.9, rim: 1.3 });
});

const butterfly = creature(0.85, 1, 'air', (kit, look) => {
  const wing: Lch = look.colour ?? [0.72, 0.15, 60];
  for (const s of [-1, 1]) {
    kit.shape(A, `0,.5! ${s * 0.15},.9 ${s * 0.5},1 ${s * 0.55},.65 ${s * 0.2},.5`, wing, { rim: 1.2 });
    kit.shape(A, `0,.48! ${s * 0.25},.45 ${s * 0.42},.22 ${s * 0.2},.05 ${s * 0.04},.3`, adjustLch(wing, -0.08));
    kit.disc(A, s * 0.38, 0.8, 0.08, 0.08, [0.94, 0.03, 90], { plain: true });
  }
  kit.band(A, '0,.75 0,.2', [0.06, 0.04], EYE);
});

const bat = creature(0.6, 2, 'air', (kit, look) => {
  const coat: Lch = look.colour ?? [0.28, 0.03, 290];
  for (const s of [-1, 1])
    kit.shape(
      A,
      `0,.6! ${s * 0.4},.95! ${s * 1},.8! ${s * 0.8},.5! ${s * 0.55},.6! ${s * 0.4},.35! ${s * 0.2},.5! 0,.35!`,
      coat,
    );
  kit.disc(A, 0, 0.55, 0.13, 0.2, coat);
  for (const s of [-1, 1]) kit.shape(A, `${s * 0.02},.7! ${s * 0.1},.92! ${s * 0.13},.66!`, coat);
});

/** Small creatures of land and air. */
export const SMALL: Readonly<Record<string, CreatureDrawing>> = {
  mouse,
  hedgehog,
  frog,
  turtle,
  snail,
  crab,
  butterfly,
  bat,
};
