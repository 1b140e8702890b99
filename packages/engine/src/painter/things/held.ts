import { adjustLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { BRASS, DARK_WOOD, FLAME, GLOW, IRON, PAPER, WOOD, type ThingDrawing } from './thing';

const P = REGION.prop;

/** Things that people carry about. */
export const HELD: Readonly<Record<string, ThingDrawing>> = {
  lantern: {
    height: 0.9,
    width: 0.5,
    paint(kit, colour = IRON) {
      kit.line(P, '-.14,.74 -.1,.96 .1,.96 .14,.74', 0.035, colour, { taper: [0, 0] });
      kit.poly(P, '-.2,0 .2,0 .18,.12 -.18,.12', colour);
      kit.pen(REGION.window, true).shape(kit.path('-.15,.12 .15,.12 .15,.62 -.15,.62'), [0.95, 0.1, 88], {
        volume: 0,
        rim: 0,
        shade: 0,
        outline: 0.8,
      });
      kit.bright(REGION.window, 0, 0.32, 0.05, 0.1, [0.99, 0.05, 95]);
      kit.poly(P, '-.2,.62 .2,.62 .06,.78 -.06,.78', colour);
      kit.glow(0, 0.35, 1.2, GLOW, kit.scene.light.lamps ? 0.7 : 0.35);
      kit.glow(0, 0.35, 3.4, GLOW, kit.scene.light.lamps ? 0.28 : 0.12);
      kit.lamp(0, 0.35, 4.5);
    },
  },
  umbrella: {
    height: 3,
    width: 1,
    gripAt: 0.55,
    paint(kit, colour = [0.55, 0.17, 27]) {
      kit.line(P, '0,.04 0,.98', 0.022, DARK_WOOD, { taper: [0, 0] });
      kit.line(P, '0,.06 .03,0 .08,.02', 0.03, DARK_WOOD);
      kit.shape(
        P,
        '-.52,.66! -.44,.84 -.22,.96 0,1 .22,.96 .44,.84 .52,.66! .36,.7 .18,.66! 0,.71 -.18,.66! -.36,.7',
        colour,
        { volume: 1, rim: 1.3 },
      );
      for (const u of [-0.18, 0.18]) kit.line(P, `0,1 ${u * 0.8},.86 ${u},.66`, 0.014, adjustLch(colour, -0.14));
    },
  },
  kite: {
    height: 4.4,
    width: 0.6,
    stands: 'air',
    gripAt: 0.02,
    paint(kit, colour = [0.58, 0.18, 30]) {
      kit.line(P, '0,0 .12,.3 .34,.62', 0.006, PAPER, { taper: [0, 0] });
      kit.poly(P, '.34,.62 .2,.84 .42,1 .52,.82', colour, { volume: 0.3, rim: 1.2 });
      kit.poly(P, '.34,.62 .37,.82 .42,1 .52,.82', adjustLch(colour, 0.12, 1, 40));
      kit.line(P, '.34,.62 .3,.54 .36,.47 .3,.4', 0.01, PAPER);
      for (const [u, v] of [
        [0.31, 0.54],
        [0.35, 0.47],
      ])
        kit.poly(
          P,
          `${u - 0.03},${v + 0.02} ${u + 0.03},${v - 0.02} ${u + 0.03},${v + 0.02} ${u - 0.03},${v - 0.02}`,
          [0.82, 0.14, 90],
        );
    },
  },
  'toy balloon': {
    height: 2.6,
    width: 0.5,
    stands: 'air',
    gripAt: 0.02,
    paint(kit, colour = [0.6, 0.18, 28]) {
      kit.line(P, '0,0 .05,.3 .02,.64', 0.01, PAPER, { taper: [0, 0] });
      kit.shape(P, '.02,.64! -.14,.74 -.17,.88 -.08,.99 .12,.99 .21,.88 .17,.74', colour, { volume: 1, rim: 1.5 });
    },
  },
  letter: {
    height: 0.5,
    width: 1.4,
    stands: 'table',
    paint(kit, colour = PAPER) {
      kit.poly(P, '-.65,.05 .65,.05 .65,.95 -.65,.95', colour, { texture: 0.3 });
      kit.line(P, '-.64,.94 0,.42 .64,.94', 0.03, adjustLch(colour, -0.2), { taper: [0, 0] });
      kit.disc(P, 0, 0.45, 0.12, 0.12, [0.52, 0.17, 27]);
    },
  },
  book: {
    height: 0.62,
    width: 1.5,
    stands: 'table',
    inHand: 1.25,
    paint(kit, colour = [0.48, 0.12, 27]) {
      kit.poly(P, '-.74,.02 0,.1 .74,.02 .74,.94 0,1 -.74,.94', colour);
      kit.shape(P, '-.66,.1 -.3,.2 0,.14! 0,.96! -.3,1 -.66,.92', PAPER, { texture: 0.3 });
      kit.shape(P, '.66,.1 .3,.2 0,.14! 0,.96! .3,1 .66,.92', adjustLch(PAPER, -0.03), { texture: 0.3 });
      for (let i = 0; i < 4; i++)
        for (const s of [-1, 1])
          kit.line(P, `${s * 0.1},${0.34 + i * 0.15} ${s * 0.56},${0.3 + i * 0.15}`, 0.025, [0.6, 0.03, 260], {
            alpha: 0.6,
          });
    },
  },
  telescope: {
    height: 0.5,
    width: 2.4,
    paint(kit, colour = BRASS) {
      kit.poly(P, '-.3,.15 .4,.35 .34,.65 -.36,.4', colour, { volume: 1 });
      kit.poly(P, '.38,.32 1.1,.55 1,.95 .32,.68', adjustLch(colour, -0.1), { volume: 1 });
    },
  },
  ball: {
    height: 0.7,
    width: 1,
    paint(kit, colour = [0.58, 0.18, 28]) {
      const ball = kit.disc(P, 0, 0.5, 0.5, 0.5, colour, { volume: 1, rim: 1.4 });
      kit.inside(ball, () => kit.band(P, '-.6,.62 0,.42 .6,.62', [0.16, 0.2, 0.16], [0.94, 0.03, 85], { outline: 0 }));
    },
  },
  teddy: {
    height: 1.1,
    width: 0.7,
    inHand: 1,
    paint(kit, colour = [0.6, 0.09, 65]) {
      for (const s of [-1, 1]) {
        kit.disc(P, s * 0.2, 0.1, 0.13, 0.11, colour, { volume: 0.9 });
        kit.disc(P, s * 0.28, 0.4, 0.09, 0.14, colour, { volume: 0.9 });
        kit.disc(P, s * 0.17, 0.92, 0.08, 0.08, colour);
      }
      kit.disc(P, 0, 0.33, 0.24, 0.27, colour, { volume: 1 });
      kit.disc(P, 0, 0.74, 0.23, 0.22, colour, { volume: 1 });
      kit.disc(P, 0, 0.68, 0.1, 0.08, adjustLch(colour, 0.14), { outline: 0 });
      for (const s of [-1, 1]) kit.disc(P, s * 0.08, 0.8, 0.025, 0.03, [0.18, 0.02, 40], { plain: true });
      kit.disc(P, 0, 0.71, 0.035, 0.025, [0.2, 0.02, 40], { plain: true });
    },
  },
  rod: {
    height: 4.4,
    width: 0.3,
    gripAt: 1.1,
    paint(kit, colour = WOOD) {
      kit.line(REGION.wood, '-.03,0 0,.5 .06,1', 0.02, colour, { taper: [0, 0.6] });
    },
  },
  flag: {
    height: 3.2,
    width: 0.5,
    gripAt: 0.8,
    paint(kit, colour = [0.55, 0.18, 27]) {
      kit.line(REGION.wood, '0,0 0,1', 0.022, WOOD, { taper: [0, 0] });
      kit.shape(P, '0,.98! .16,.94 .3,1 .46,.96! .44,.7! .3,.72 .16,.66 0,.7!', colour, { rim: 1.2 });
    },
  },
  flower: {
    height: 1,
    width: 0.7,
    inHand: 0.9,
    gripAt: 0.25,
    paint(kit, colour) {
      const palette: readonly Lch[] = [
        [0.62, 0.19, 28],
        [0.86, 0.15, 92],
        [0.74, 0.13, 350],
        [0.94, 0.02, 90],
      ];
      for (const [i, u, v] of [
        [0, -0.2, 0.8],
        [1, 0.04, 0.95],
        [2, 0.24, 0.74],
      ]) {
        kit.line(REGION.foliage, `${u * 0.2},0 ${u * 0.5},.4 ${u},${v}`, 0.035, [0.5, 0.11, 140]);
        kit.shape(REGION.foliage, `${u * 0.4},.3 ${u * 0.6 + 0.14},.45 ${u * 0.5 + 0.02},.36`, [0.55, 0.12, 138]);
        const c = colour ?? palette[i];
        for (let k = 0; k < 5; k++) {
          const a = (k / 5) * 6.283 + i;
          kit.disc(REGION.foliage, u + Math.cos(a) * 0.085, v + Math.sin(a) * 0.085, 0.065, 0.065, c, { outline: 0.4 });
        }
        kit.disc(REGION.foliage, u, v, 0.05, 0.05, [0.8, 0.14, 85], { plain: true });
      }
    },
  },
  shell: {
    height: 0.32,
    width: 1.2,
    paint(kit, colour = [0.86, 0.06, 45]) {
      kit.shape(P, '0,0! -.5,.4 -.42,.85 0,1 .42,.85 .5,.4', colour, { rim: 1.3 });
      for (const u of [-0.3, -0.1, 0.1, 0.3])
        kit.line(P, `0,.04 ${u},.5 ${u * 1.3},.85`, 0.045, adjustLch(colour, -0.14), { alpha: 0.7 });
    },
  },
  anchor: {
    height: 1.9,
    width: 0.8,
    inHand: 0.6,
    paint(kit, colour = IRON) {
      kit.line(P, '0,.06 0,.86', 0.07, colour, { taper: [0, 0] });
      kit.line(P, '-.22,.76 .22,.76', 0.06, colour, { taper: [0, 0] });
      kit.line(P, '-.4,.34 -.3,.1 0,.03 .3,.1 .4,.34', 0.075, colour, { taper: [0.2, 0.2] });
      kit.line(P, '-.06,.92 0,.98 .06,.92 0,.86 -.06,.92', 0.04, colour, { taper: [0, 0] });
    },
  },
  campfire: {
    height: 1.5,
    width: 1,
    paint(kit) {
      for (const t of ['-.4,.06 .36,.16', '.4,.06 -.36,.16', '-.2,.03 .2,.2'])
        kit.line(REGION.wood, t, 0.1, DARK_WOOD, { taper: [0, 0] });
      const flame = (text: string, c: Lch) =>
        kit.pen(REGION.window, true).shape(kit.path(text), c, { volume: 0, rim: 0, shade: 0, texture: 0.3 });
      flame('-.28,.12 -.3,.4 -.16,.56 -.12,.76 0,.98 .06,.7 .2,.58 .28,.34 .24,.12', [0.66, 0.19, 42]);
      flame('-.18,.12 -.18,.34 -.06,.52 0,.74 .08,.5 .18,.32 .14,.12', [0.78, 0.17, 65]);
      flame('-.08,.12 -.08,.26 0,.46 .09,.26 .07,.12', FLAME);
      kit.glow(0, 0.4, 1.5, GLOW, 0.6);
      kit.glow(0, 0.4, 4, GLOW, 0.25);
      kit.lamp(0, 0.4, 5);
      for (const u of [-0.5, -0.3, 0.32, 0.52]) kit.disc(REGION.rock, u, 0.04, 0.1, 0.07, [0.5, 0.015, 250]);
    },
  },
};
