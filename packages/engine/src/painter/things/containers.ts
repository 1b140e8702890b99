import { adjustLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { DARK_WOOD, IRON, PAPER, WOOD, type ThingDrawing } from './thing';

const P = REGION.prop;
const W = REGION.wood;

/** Things that hold other things. */
export const CONTAINERS: Readonly<Record<string, ThingDrawing>> = {
  barrel: {
    height: 1.75,
    width: 0.8,
    top: 0.96,
    paint(kit, colour = WOOD) {
      const body = kit.shape(W, '-.3,0! -.4,.5 -.3,.96! .3,.96! .4,.5 .3,0!', colour, {
        volume: 1,
        shade: 1.2,
        strokes: 1.57,
      });
      kit.inside(body, () => {
        for (const u of [-0.24, -0.1, 0.04, 0.18])
          kit.line(W, `${u},0 ${u * 1.3},.5 ${u},1`, 0.014, adjustLch(colour, -0.14), { alpha: 0.8 });
        for (const v of [0.14, 0.78])
          kit.band(P, `-.45,${v} 0,${v - 0.05} .45,${v}`, [0.08, 0.08, 0.08], IRON, { outline: 0 });
      });
      kit.disc(W, 0, 0.96, 0.3, 0.06, adjustLch(colour, 0.06));
    },
  },
  crate: {
    height: 1.25,
    width: 1.2,
    top: 0.98,
    inHand: 0.6,
    paint(kit, colour = WOOD) {
      kit.poly(W, '-.55,0 .55,0 .55,.9 -.55,.9', colour, { strokes: 0 });
      for (const v of [0.3, 0.6]) kit.line(W, `-.54,${v} .54,${v}`, 0.025, adjustLch(colour, -0.16));
      kit.poly(W, '-.55,.9 -.46,1 .46,1 .55,.9', adjustLch(colour, 0.08));
      for (const u of [-0.5, 0.41])
        kit.poly(W, `${u},0 ${u + 0.09},0 ${u + 0.09},.9 ${u},.9`, adjustLch(colour, -0.06));
      kit.line(W, '-.42,.04 .42,.86', 0.07, adjustLch(colour, -0.05), { taper: [0, 0] });
    },
  },
  parcel: {
    height: 0.8,
    width: 1.2,
    inHand: 0.8,
    top: 0.95,
    paint(kit, colour = [0.64, 0.07, 68]) {
      kit.poly(P, '-.55,0 .55,0 .55,.86 -.55,.86', colour, { texture: 0.6 });
      kit.poly(P, '-.55,.86 -.45,.98 .47,.98 .55,.86', adjustLch(colour, 0.06), { texture: 0.6 });
      for (const t of ['0,0 0,.86 .02,.98', '-.55,.45 .55,.45'])
        kit.line(P, t, 0.06, [0.88, 0.05, 80], { taper: [0, 0] });
      kit.shape(P, '0,.98 -.18,1.12 -.12,.98 .14,1.13 .1,.97', [0.6, 0.16, 28]);
    },
  },
  sack: {
    height: 1.5,
    width: 0.9,
    inHand: 0.6,
    top: 0.8,
    paint(kit, colour = [0.74, 0.05, 75]) {
      kit.shape(
        P,
        '-.4,.02 -.45,.4 -.26,.72 -.12,.8! -.2,1 .02,.94 .2,1.02 .12,.8! .3,.7 .44,.36 .38,.02 0,-.01',
        colour,
        { volume: 1, shade: 1.2 },
      );
      kit.line(P, '-.14,.79 0,.76 .14,.79', 0.06, adjustLch(colour, -0.25));
      for (const u of [-0.2, 0.12])
        kit.line(P, `${u * 0.4},.72 ${u},.5 ${u * 1.4},.25`, 0.02, adjustLch(colour, -0.12), { alpha: 0.6 });
    },
  },
  basket: {
    height: 1.15,
    width: 1.1,
    inHand: 0.72,
    paint(kit, colour = [0.63, 0.08, 70]) {
      kit.line(W, '-.42,.5 -.36,.86 0,1 .36,.86 .42,.5', 0.06, adjustLch(colour, -0.06), { taper: [0, 0] });
      for (const [u, c] of [
        [-0.26, [0.58, 0.18, 28]],
        [0, [0.66, 0.15, 55]],
        [0.26, [0.6, 0.14, 130]],
        [-0.12, [0.6, 0.17, 25]],
        [0.14, [0.64, 0.17, 35]],
      ] as [number, Lch][])
        kit.disc(P, u, 0.53, 0.13, 0.13, c, { volume: 0.9 });
      const body = kit.shape(W, '-.48,.52! -.38,.04 0,0 .38,.04 .48,.52! 0,.46', colour, { volume: 0.9, strokes: 0 });
      kit.inside(body, () => {
        for (let i = 0; i < 6; i++)
          kit.line(
            W,
            `-.5,${0.06 + i * 0.08} 0,${0.02 + i * 0.08} .5,${0.06 + i * 0.08}`,
            0.022,
            adjustLch(colour, -0.15),
            { alpha: 0.8 },
          );
        for (let i = -4; i < 5; i++)
          kit.line(W, `${i * 0.1},.6 ${i * 0.085},0`, 0.018, adjustLch(colour, i % 2 ? -0.1 : 0.08), { alpha: 0.7 });
      });
    },
  },
  suitcase: {
    height: 1.15,
    width: 1.4,
    inHand: 0.8,
    top: 0.84,
    paint(kit, colour = [0.46, 0.09, 40]) {
      kit.line(P, '-.16,.84 -.14,.98 .14,.98 .16,.84', 0.05, DARK_WOOD, { taper: [0, 0] });
      kit.shape(P, '-.64,.04! -.64,.8! .64,.8! .64,.04!', colour, { strokes: 0 });
      for (const u of [-0.36, 0.36]) kit.band(P, `${u},.03 ${u},.82`, [0.09, 0.09], adjustLch(colour, -0.14));
      for (const [u, v] of [
        [-0.6, 0.1],
        [0.6, 0.1],
        [-0.6, 0.76],
        [0.6, 0.76],
      ])
        kit.disc(P, u, v, 0.06, 0.06, [0.72, 0.1, 82]);
    },
  },
  bucket: {
    height: 0.95,
    width: 0.9,
    inHand: 0.75,
    paint(kit, colour = [0.62, 0.02, 245]) {
      kit.line(P, '-.34,.72 -.28,.94 .28,.94 .34,.72', 0.035, IRON, { taper: [0, 0] });
      kit.shape(P, '-.37,.74! -.27,.02 0,-.01 .27,.02 .37,.74!', colour, { volume: 1, strokes: 1.5 });
      kit.disc(P, 0, 0.74, 0.37, 0.08, adjustLch(colour, -0.2));
      kit.band(P, '-.34,.5 0,.46 .34,.5', [0.04, 0.04, 0.04], adjustLch(colour, -0.1), { outline: 0 });
    },
  },
  'post box': {
    height: 3.2,
    width: 0.45,
    paint(kit, colour = [0.54, 0.18, 28]) {
      kit.poly(W, '-.04,0 .04,0 .04,.55 -.04,.55', DARK_WOOD);
      kit.shape(P, '-.2,.5! -.2,.86 -.12,.98 .12,.98 .2,.86 .2,.5!', colour, { volume: 0.9 });
      kit.poly(P, '-.12,.8 .12,.8 .12,.83 -.12,.83', [0.2, 0.02, 30]);
      kit.poly(P, '-.09,.62 .09,.62 .09,.73 -.09,.73', PAPER, { texture: 0.3 });
    },
  },
  net: {
    height: 1.7,
    width: 1.2,
    inHand: 0.7,
    paint(kit, colour = [0.55, 0.06, 190]) {
      const heap = kit.shape(P, '-.6,.02 -.5,.4 -.2,.8 .1,.9 .35,.6 .6,.3 .62,.02 0,-.02', colour, {
        alpha: 0.75,
        texture: 0.4,
      });
      kit.inside(heap, () => {
        for (let i = -7; i < 12; i++) {
          kit.line(P, `${i * 0.12 - 0.4},1 ${i * 0.12 + 0.1},-.1`, 0.014, adjustLch(colour, 0.24), { taper: [0, 0] });
          kit.line(P, `${i * 0.12 - 0.4},-.1 ${i * 0.12 + 0.1},1`, 0.014, adjustLch(colour, -0.2), { taper: [0, 0] });
        }
      });
      for (const [u, v] of [
        [-0.48, 0.38],
        [-0.18, 0.8],
        [0.36, 0.6],
        [0.56, 0.28],
      ])
        kit.disc(P, u, v, 0.075, 0.065, [0.66, 0.15, 50], { volume: 0.9 });
    },
  },
};
