import { adjustLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { BRASS, DARK_WOOD, FLAME, GLOW, IRON, PAPER, STONE, WOOD, type ThingDrawing } from './thing';

const P = REGION.prop;
const W = REGION.wood;
const BOOKS: readonly Lch[] = [
  [0.5, 0.13, 28],
  [0.45, 0.09, 250],
  [0.55, 0.09, 145],
  [0.7, 0.12, 82],
  [0.42, 0.08, 310],
  [0.75, 0.04, 80],
];

/** Furniture and what belongs in a room. */
export const HOME: Readonly<Record<string, ThingDrawing>> = {
  table: {
    height: 2.1,
    width: 1.7,
    top: 0.99,
    paint(kit, colour = WOOD) {
      for (const u of [-0.68, 0.6])
        kit.poly(W, `${u},0 ${u + 0.08},0 ${u + 0.09},.86 ${u - 0.01},.86`, adjustLch(colour, -0.1));
      for (const u of [-0.5, 0.44])
        kit.poly(W, `${u},.14 ${u + 0.06},.14 ${u + 0.07},.86 ${u},.86`, adjustLch(colour, -0.18));
      kit.poly(W, '-.72,.76 .72,.76 .72,.87 -.72,.87', adjustLch(colour, -0.06), { strokes: 0 });
      kit.poly(W, '-.85,.86 .85,.86 .74,1 -.74,1', adjustLch(colour, 0.06), { strokes: 0 });
      kit.line(W, '-.85,.86 .85,.86', 0.03, adjustLch(colour, -0.18), { taper: [0, 0] });
    },
  },
  chair: {
    height: 2.6,
    width: 0.6,
    top: 0.44,
    paint(kit, colour = WOOD) {
      for (const u of [-0.22, 0.2]) kit.band(W, `${u},0 ${u * 0.95},.42`, [0.05, 0.06], adjustLch(colour, -0.08));
      for (const u of [-0.2, 0.16]) kit.band(W, `${u},.42 ${u * 0.95},1`, [0.05, 0.045], colour);
      for (const v of [0.62, 0.78, 0.93])
        kit.band(W, `-.2,${v} 0,${v + 0.02} .17,${v}`, [0.06, 0.07, 0.06], adjustLch(colour, 0.03));
      kit.poly(W, '-.27,.38 .27,.38 .22,.47 -.22,.47', adjustLch(colour, 0.05));
    },
  },
  bench: {
    height: 1.9,
    width: 2,
    top: 0.6,
    paint(kit, colour = [0.5, 0.075, 90]) {
      for (const u of [-0.85, 0.8]) kit.band(P, `${u},0 ${u},.55 ${u - 0.02},1`, [0.07, 0.07, 0.06], IRON);
      for (const v of [0.72, 0.88])
        kit.poly(W, `-.95,${v} .93,${v} .93,${v + 0.11} -.95,${v + 0.11}`, colour, { strokes: 0 });
      kit.poly(W, '-.98,.48 .98,.48 .93,.6 -.93,.6', adjustLch(colour, 0.06), { strokes: 0 });
    },
  },
  bed: {
    height: 2.2,
    width: 2.4,
    top: 0.56,
    paint(kit, colour = [0.5, 0.12, 25]) {
      kit.shape(W, '-1.2,0! -1.2,.85! -1.12,1 -1.02,.85! -1.02,0!', WOOD);
      kit.shape(W, '1.02,0! 1.02,.6! 1.1,.7 1.18,.6! 1.18,0!', WOOD);
      kit.poly(W, '-1.05,.1 1.05,.1 1.05,.3 -1.05,.3', adjustLch(WOOD, -0.08));
      kit.shape(P, '-1.04,.28! -1.04,.56 -.4,.6 1.04,.56 1.04,.28!', colour, { volume: 0.8, strokes: 0 });
      for (const [u, c] of [
        [-0.1, 0.1],
        [0.3, -0.08],
        [0.7, 0.12],
      ])
        kit.poly(P, `${u},.29 ${u + 0.2},.29 ${u + 0.2},.57 ${u},.58`, adjustLch(colour, c, 1, 40));
      kit.shape(P, '-1,.54 -.96,.74 -.6,.76 -.55,.58 -.75,.52', PAPER, { volume: 0.8 });
    },
  },
  stove: {
    height: 3,
    width: 0.8,
    top: 0.62,
    paint(kit, colour = IRON) {
      kit.poly(P, '.12,.6 .26,.6 .26,1.6 .12,1.6', adjustLch(colour, -0.04));
      kit.poly(P, '-.38,.06 .38,.06 .38,.58 -.38,.58', colour, { volume: 0.7 });
      kit.poly(P, '-.42,.58 .42,.58 .38,.64 -.38,.64', adjustLch(colour, 0.08));
      for (const u of [-0.34, 0.28]) kit.poly(P, `${u},0 ${u + 0.06},0 ${u + 0.06},.07 ${u},.07`, colour);
      kit.poly(P, '-.2,.16 .2,.16 .2,.42 -.2,.42', adjustLch(colour, -0.12));
      kit.bright(REGION.window, 0, 0.27, 0.14, 0.09, [0.75, 0.17, 50]);
      kit.bright(REGION.window, 0, 0.25, 0.08, 0.05, FLAME);
      kit.glow(0, 0.27, 0.7, GLOW, 0.55);
      kit.lamp(0, 0.27, 1.5);
      kit.shape(P, '-.26,.64 -.28,.8 -.16,.86 -.04,.8 -.06,.64', [0.5, 0.1, 245]);
    },
  },
  shelf: {
    height: 3.6,
    width: 0.8,
    stands: 'wall',
    paint(kit, colour = WOOD) {
      kit.poly(W, '-.4,0 .4,0 .4,1 -.4,1', adjustLch(colour, -0.16), { strokes: 1.57 });
      const r = kit.scene.random;
      for (let row = 0; row < 4; row++) {
        const v = 0.04 + row * 0.24;
        for (let u = -0.36; u < 0.33;) {
          const w = r.range(0.03, 0.06);
          const h = r.range(0.12, 0.18);
          if (r.chance(0.86))
            kit.poly(P, `${u},${v} ${u + w},${v} ${u + w},${v + h} ${u},${v + h}`, r.pick(BOOKS), { outline: 0.5 });
          u += w + 0.008;
        }
        kit.poly(W, `-.4,${v - 0.03} .4,${v - 0.03} .4,${v} -.4,${v}`, colour);
      }
      for (const u of [-0.4, 0.37]) kit.poly(W, `${u},0 ${u + 0.03},0 ${u + 0.03},1 ${u},1`, colour);
      kit.poly(W, '-.43,.97 .43,.97 .43,1.02 -.43,1.02', adjustLch(colour, 0.04));
    },
  },
  clock: {
    height: 3.8,
    width: 0.35,
    inHand: 0.2,
    paint(kit, colour = DARK_WOOD) {
      kit.poly(W, '-.15,0 .15,0 .13,.06 .11,.62 -.11,.62 -.13,.06', colour, { strokes: 1.57 });
      kit.shape(W, '-.16,.6! -.16,.9 0,1 .16,.9 .16,.6!', adjustLch(colour, 0.03));
      kit.disc(P, 0, 0.77, 0.12, 0.12, PAPER);
      kit.line(P, '0,.77 .02,.85', 0.012, IRON);
      kit.line(P, '0,.77 .07,.75', 0.012, IRON);
      kit.poly(W, '-.07,.12 .07,.12 .07,.54 -.07,.54', adjustLch(colour, -0.12));
      kit.line(P, '0,.54 .01,.3', 0.01, BRASS);
      kit.disc(P, 0.01, 0.27, 0.04, 0.04, BRASS);
    },
  },
  rug: {
    height: 0.35,
    width: 9,
    top: 0.4,
    paint(kit, colour = [0.5, 0.13, 25]) {
      const cloth = kit.disc(P, 0, 0.3, 4.4, 0.62, colour, { volume: 0, shade: 0 });
      kit.inside(cloth, () => {
        kit.disc(P, 0, 0.3, 3.9, 0.52, [0.85, 0.05, 80], { outline: 0, volume: 0 });
        kit.disc(P, 0, 0.3, 3.6, 0.46, adjustLch(colour, -0.04), { outline: 0, volume: 0 });
        kit.disc(P, 0, 0.3, 1.8, 0.24, [0.7, 0.11, 80], { outline: 0, volume: 0 });
      });
    },
  },
  cup: {
    height: 0.42,
    width: 1,
    stands: 'table',
    paint(kit, colour = [0.58, 0.1, 240]) {
      kit.line(P, '.34,.7 .62,.66 .6,.3 .32,.25', 0.1, colour, { taper: [0, 0] });
      kit.shape(P, '-.4,.9! -.34,.1 0,0 .34,.1 .4,.9!', colour, { volume: 0.9 });
      kit.disc(P, 0, 0.9, 0.4, 0.1, [0.42, 0.06, 50]);
    },
  },
  teapot: {
    height: 0.8,
    width: 1.5,
    stands: 'table',
    paint(kit, colour = [0.56, 0.1, 215]) {
      kit.line(P, '-.4,.62 -.74,.66 -.72,.28 -.38,.2', 0.09, colour, { taper: [0, 0] });
      kit.band(P, '.36,.3 .6,.48 .74,.78', [0.2, 0.13, 0.09], colour);
      kit.shape(P, '-.34,.06 -.48,.36 -.3,.7 0,.78 .3,.7 .48,.36 .34,.06 0,0', colour, { volume: 1, rim: 1.3 });
      kit.shape(P, '-.24,.72 0,.84 .24,.72 0,.68', adjustLch(colour, 0.06));
      kit.disc(P, 0, 0.9, 0.07, 0.07, adjustLch(colour, 0.08));
      for (const [u, v] of [
        [-0.2, 0.42],
        [0.08, 0.5],
        [0.2, 0.26],
        [-0.08, 0.2],
      ])
        kit.disc(P, u, v, 0.05, 0.05, PAPER, { plain: true });
    },
  },
  bottle: {
    height: 0.75,
    width: 0.5,
    stands: 'table',
    paint(kit, colour = [0.5, 0.08, 160]) {
      kit.shape(P, '-.2,.02 -.22,.5 -.08,.68 -.07,.94! .07,.94! .08,.68 .22,.5 .2,.02 0,-.01', colour, {
        volume: 1,
        alpha: 0.9,
        rim: 1.4,
      });
      kit.poly(P, '-.07,.93 .07,.93 .06,1.02 -.06,1.02', [0.62, 0.08, 65]);
      kit.line(P, '-.12,.15 -.13,.48', 0.04, [0.95, 0.02, 180], { alpha: 0.6 });
    },
  },
  bread: {
    height: 0.45,
    width: 1.9,
    stands: 'table',
    inHand: 1.15,
    paint(kit, colour = [0.66, 0.11, 65]) {
      kit.shape(P, '-.9,.1 -.85,.6 -.4,.95 .4,.95 .85,.6 .9,.1 0,-.02', colour, { volume: 1, rim: 1.2 });
      for (const u of [-0.4, 0, 0.4])
        kit.band(P, `${u - 0.1},.55 ${u + 0.12},.85`, [0.06, 0.12], [0.84, 0.06, 78], { outline: 0 });
    },
  },
  apple: {
    height: 0.36,
    width: 1,
    stands: 'table',
    paint(kit, colour = [0.56, 0.19, 28]) {
      kit.shape(P, '0,.02 -.4,.12 -.46,.55 -.2,.85 0,.76 .2,.85 .46,.55 .4,.12', colour, { volume: 1, rim: 1.4 });
      kit.line(P, '0,.76 .06,1', 0.06, DARK_WOOD);
      kit.shape(REGION.foliage, '.05,.86 .2,1 .36,.94 .2,.82', [0.58, 0.13, 140]);
    },
  },
  vase: {
    height: 1.2,
    width: 0.8,
    stands: 'table',
    inHand: 0.9,
    paint(kit, colour = [0.56, 0.1, 245]) {
      for (const [u, v, c] of [
        [-0.26, 0.85, [0.7, 0.16, 20]],
        [0, 0.96, [0.86, 0.13, 92]],
        [0.26, 0.86, [0.75, 0.1, 320]],
        [-0.12, 0.78, [0.92, 0.03, 80]],
        [0.14, 0.77, [0.62, 0.18, 30]],
      ] as [number, number, Lch][]) {
        kit.line(REGION.foliage, `0,.4 ${u * 0.6},.6 ${u},${v}`, 0.03, [0.5, 0.1, 140]);
        kit.disc(REGION.foliage, u, v, 0.12, 0.11, c, { volume: 0.7 });
        kit.disc(REGION.foliage, u, v, 0.04, 0.04, [0.82, 0.13, 85], { plain: true });
      }
      kit.shape(P, '-.12,.46! -.26,.26 -.16,.02 0,-.01 .16,.02 .26,.26 .12,.46!', colour, { volume: 1, rim: 1.3 });
    },
  },
  candle: {
    height: 0.7,
    width: 0.6,
    stands: 'table',
    gripAt: 0.05,
    paint(kit, colour = [0.93, 0.04, 88]) {
      kit.disc(P, 0, 0.05, 0.28, 0.07, BRASS);
      kit.poly(P, '-.09,.06 .09,.06 .08,.66 -.08,.66', colour, { volume: 0.9 });
      kit.shape(REGION.window, '0,.66 -.07,.76 0,1 .07,.76', FLAME, { volume: 0, rim: 0 });
      kit.glow(0, 0.8, 1.3, GLOW, 0.6);
      kit.glow(0, 0.8, 3.6, GLOW, 0.22);
      kit.lamp(0, 0.8, 5.5);
    },
  },
  window: {
    height: 2.6,
    width: 0.85,
    stands: 'wall',
    top: 0,
    paint(kit) {
      const e = kit.scene.light;
      kit.poly(REGION.building, '-.42,-.02 .42,-.02 .42,1 -.42,1', [0.9, 0.02, 85], { texture: 0.4 });
      kit
        .pen(REGION.window, true)
        .shape(kit.path('-.36,.05 .36,.05 .36,.94 -.36,.94'), e.sky[1], { toColour: e.sky[2], texture: 0.3 });
      kit.line(REGION.building, '0,.05 0,.94', 0.035, [0.9, 0.02, 85], { taper: [0, 0] });
      kit.line(REGION.building, '-.36,.5 .36,.5', 0.035, [0.9, 0.02, 85], { taper: [0, 0] });
      kit.poly(W, '-.5,-.05 .5,-.05 .47,.03 -.47,.03', WOOD);
    },
  },
  ladder: {
    height: 4.6,
    width: 0.4,
    paint(kit, colour = WOOD) {
      for (const u of [-0.16, 0.12]) kit.band(W, `${u},0 ${u + 0.1},1`, [0.035, 0.03], colour);
      for (let i = 1; i < 9; i++)
        kit.line(
          W,
          `${-0.16 + i * 0.0115},${i * 0.11} ${0.12 + i * 0.0115},${i * 0.11}`,
          0.022,
          adjustLch(colour, -0.08),
          { taper: [0, 0] },
        );
    },
  },
  fiddle: {
    height: 1.5,
    width: 0.5,
    inHand: 0.9,
    paint(kit, colour = [0.52, 0.12, 45]) {
      kit.band(W, '0,.5 0,.95', [0.05, 0.04], DARK_WOOD);
      kit.shape(W, '0,0 -.2,.08 -.12,.26 -.16,.44 0,.54 .16,.44 .12,.26 .2,.08', colour, { volume: 0.9, rim: 1.3 });
      kit.line(P, '0,.1 0,.9', 0.012, PAPER, { taper: [0, 0] });
    },
  },
  statue: {
    height: 5.2,
    width: 0.5,
    paint(kit, colour = STONE) {
      kit.poly(REGION.rock, '-.22,0 .22,0 .19,.3 -.19,.3', colour);
      kit.poly(REGION.rock, '-.24,.28 .24,.28 .24,.34 -.24,.34', adjustLch(colour, 0.06));
      kit.shape(REGION.rock, '-.1,.33 -.13,.6 -.09,.78 .08,.78 .13,.6 .11,.33', adjustLch(colour, -0.04), {
        volume: 1,
      });
      kit.band(REGION.rock, '.06,.74 .2,.82 .22,.95', [0.05, 0.045, 0.03], adjustLch(colour, -0.02));
      kit.disc(REGION.rock, 0, 0.86, 0.065, 0.075, colour, { volume: 1 });
    },
  },
};
