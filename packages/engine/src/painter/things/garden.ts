import { adjustLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { DARK_WOOD, IRON, LEAF, PAPER, STONE, WOOD, type ThingDrawing } from './thing';

const P = REGION.prop;
const W = REGION.wood;

/** Things of garden and field. */
export const GARDEN: Readonly<Record<string, ThingDrawing>> = {
  'flower pot': {
    height: 1.2,
    width: 0.8,
    inHand: 0.8,
    paint(kit, colour = [0.58, 0.11, 42]) {
      for (const [u, v] of [
        [-0.3, 0.75],
        [-0.14, 0.92],
        [0.04, 0.98],
        [0.2, 0.9],
        [0.34, 0.72],
      ])
        kit.shape(
          REGION.foliage,
          `0,.4! ${u * 0.9 - 0.06},${v - 0.15} ${u},${v}! ${u * 0.7 + 0.06},${v - 0.2}`,
          adjustLch(LEAF, u * 0.1),
          { strokes: 1.5 },
        );
      for (const [u, v] of [
        [-0.16, 0.82],
        [0.16, 0.86],
        [0.02, 0.72],
      ])
        kit.disc(REGION.foliage, u, v, 0.07, 0.07, [0.66, 0.18, 20], { volume: 0.6 });
      kit.shape(P, '-.28,.4! -.2,.02 0,-.01 .2,.02 .28,.4!', colour, { volume: 1 });
      kit.poly(P, '-.32,.36 .32,.36 .32,.46 -.32,.46', adjustLch(colour, 0.05));
    },
  },
  mushroom: {
    height: 0.7,
    width: 1,
    paint(kit, colour = [0.55, 0.19, 28]) {
      kit.shape(P, '-.12,0 -.09,.5 .09,.5 .14,0', [0.92, 0.025, 85], { volume: 0.9 });
      kit.shape(P, '-.5,.46! -.4,.8 0,1 .4,.8 .5,.46! 0,.4', colour, { volume: 1, rim: 1.3 });
      for (const [u, v] of [
        [-0.26, 0.66],
        [0.02, 0.82],
        [0.26, 0.62],
      ])
        kit.disc(P, u, v, 0.07, 0.055, PAPER, { plain: true });
    },
  },
  pumpkin: {
    height: 0.9,
    width: 1.2,
    inHand: 0.9,
    paint(kit, colour = [0.68, 0.16, 55]) {
      for (const u of [-0.3, 0.3]) kit.disc(P, u, 0.42, 0.27, 0.4, adjustLch(colour, -0.05), { volume: 0.9 });
      kit.disc(P, 0, 0.42, 0.3, 0.43, colour, { volume: 1, rim: 1.2 });
      kit.band(P, '0,.82 .05,1', [0.1, 0.07], [0.5, 0.08, 130]);
    },
  },
  rock: {
    height: 1.3,
    width: 1.5,
    top: 0.86,
    paint(kit, colour = STONE) {
      const stone = kit.poly(REGION.rock, '-.72,0 -.62,.46 -.3,.86 .2,.92 .58,.6 .74,0', colour, {
        volume: 1,
        mottled: true,
      });
      kit.inside(stone, () => {
        kit.poly(REGION.rock, '-.3,.86 .2,.92 .1,.5 -.4,.45', adjustLch(colour, 0.1), { outline: 0 });
        kit.poly(REGION.rock, '.2,.92 .58,.6 .74,0 .3,0 .1,.5', adjustLch(colour, -0.1), { outline: 0 });
      });
    },
  },
  log: {
    height: 0.95,
    width: 2.6,
    top: 0.9,
    paint(kit, colour = WOOD) {
      kit.shape(W, '-1.2,.06 -1.2,.82 0,.9 1.1,.82 1.1,.06 0,0', adjustLch(colour, -0.08), { volume: 1, strokes: 0 });
      kit.disc(W, 1.1, 0.44, 0.24, 0.4, [0.74, 0.07, 75]);
      for (const r of [0.16, 0.08]) kit.disc(W, 1.1, 0.44, r, r * 1.6, [0.64, 0.08, 68], { outline: 0.6, volume: 0 });
    },
  },
  post: {
    height: 2.2,
    width: 0.25,
    top: 0.98,
    paint(kit, colour = DARK_WOOD) {
      kit.poly(W, '-.09,0 .09,0 .08,.95 0,1 -.08,.95', colour, { volume: 1, strokes: 1.57 });
      kit.band(P, '-.1,.7 0,.68 .1,.7', [0.06, 0.07, 0.06], [0.75, 0.05, 75]);
    },
  },
  fence: {
    height: 1.7,
    width: 3.4,
    top: 0.9,
    paint(kit, colour = [0.86, 0.02, 85]) {
      for (const v of [0.35, 0.68])
        kit.poly(W, `-1.7,${v} 1.7,${v} 1.7,${v + 0.09} -1.7,${v + 0.09}`, adjustLch(colour, -0.06));
      for (let u = -1.6; u <= 1.6; u += 0.32)
        kit.poly(W, `${u - 0.07},0 ${u + 0.07},0 ${u + 0.07},.86 ${u},.98 ${u - 0.07},.86`, colour);
    },
  },
  well: {
    height: 3.4,
    width: 0.8,
    top: 0.32,
    paint(kit, colour = STONE) {
      for (const u of [-0.3, 0.26]) kit.poly(W, `${u},.3 ${u + 0.05},.3 ${u + 0.05},.8 ${u},.8`, DARK_WOOD);
      kit.line(P, '0,.78 0,.45', 0.012, [0.7, 0.05, 75]);
      kit.poly(REGION.roof, '-.46,.74 .46,.74 .2,1 -.2,1', [0.48, 0.11, 32]);
      kit.shape(REGION.rock, '-.36,0! -.38,.32! .38,.32! .36,0!', colour, { volume: 1 });
      for (let i = 0; i < 12; i++)
        kit.disc(
          REGION.rock,
          -0.27 + (i % 4) * 0.18,
          0.06 + Math.floor(i / 4) * 0.1,
          0.08,
          0.042,
          adjustLch(colour, ((i * 7) % 5) * 0.03 - 0.06),
          { outline: 0.6 },
        );
      kit.disc(P, 0, 0.32, 0.37, 0.05, adjustLch(colour, -0.25));
    },
  },
  tent: {
    height: 3.4,
    width: 1.3,
    paint(kit, colour = [0.62, 0.1, 85]) {
      kit.poly(P, '-.62,0 0,1 .62,0', colour, { volume: 0.8 });
      kit.poly(P, '-.14,0 0,.72 .16,0', adjustLch(colour, -0.3));
      kit.line(P, '0,1 -.9,.02', 0.01, [0.85, 0.03, 80]);
      kit.line(P, '0,1 .9,.02', 0.01, [0.85, 0.03, 80]);
    },
  },
  snowman: {
    height: 4,
    width: 0.55,
    paint(kit, colour = [0.96, 0.008, 240]) {
      kit.disc(P, 0, 0.2, 0.27, 0.22, colour, { volume: 0.9 });
      kit.disc(P, 0, 0.52, 0.2, 0.18, colour, { volume: 0.9 });
      kit.disc(P, 0, 0.77, 0.14, 0.13, colour, { volume: 0.9 });
      kit.poly(P, '-.15,.86 .15,.86 .15,.885 -.15,.885', IRON);
      kit.poly(P, '-.09,.88 .09,.88 .08,1 -.08,1', IRON);
      kit.poly(P, '0,.79 .16,.76 0,.74', [0.7, 0.17, 55]);
      for (const [u, v] of [
        [-0.05, 0.81],
        [0.05, 0.81],
        [0, 0.56],
        [0, 0.48],
      ])
        kit.disc(P, u, v, 0.016, 0.018, IRON, { plain: true });
      kit.band(P, '-.14,.67 0,.64 .14,.67', [0.05, 0.06, 0.05], [0.56, 0.18, 27]);
      for (const s of [-1, 1]) kit.line(W, `${s * 0.17},.56 ${s * 0.34},.68`, 0.018, DARK_WOOD);
    },
  },
  scarecrow: {
    height: 4.6,
    width: 0.8,
    paint(kit, colour = [0.5, 0.1, 30]) {
      kit.line(W, '0,0 0,.8', 0.025, DARK_WOOD, { taper: [0, 0] });
      kit.line(W, '-.4,.66 .4,.66', 0.025, DARK_WOOD, { taper: [0, 0] });
      kit.shape(P, '-.36,.72! .36,.72! .38,.6! .15,.58 .17,.3! -.17,.3! -.15,.58 -.38,.6!', colour);
      for (const s of [-1, 1]) kit.line(P, `${s * 0.36},.66 ${s * 0.46},.68`, 0.05, [0.8, 0.1, 88]);
      kit.disc(P, 0, 0.83, 0.1, 0.11, [0.8, 0.07, 80]);
      kit.poly(P, '-.2,.88 .2,.88 .1,.9 .06,1 -.07,.98 -.1,.9', [0.7, 0.1, 80]);
      for (const s of [-1, 1]) kit.disc(P, s * 0.035, 0.84, 0.012, 0.014, IRON, { plain: true });
      kit.line(P, '-.04,.78 0,.77 .04,.78', 0.01, IRON);
    },
  },
  swing: {
    height: 4.6,
    width: 0.7,
    top: 0.2,
    paint(kit, colour = WOOD) {
      for (const u of [-0.34, 0.34]) kit.line(W, `${u * 1.1},0 ${u},1`, 0.03, colour, { taper: [0, 0] });
      kit.line(W, '-.38,.98 .38,.98', 0.035, colour, { taper: [0, 0] });
      for (const u of [-0.12, 0.12]) kit.line(P, `${u},.97 ${u},.2`, 0.01, PAPER, { taper: [0, 0] });
      kit.poly(W, '-.16,.18 .16,.18 .16,.21 -.16,.21', DARK_WOOD);
    },
  },
  laundry: {
    height: 3.6,
    width: 1.8,
    paint(kit) {
      for (const u of [-0.9, 0.86]) kit.poly(W, `${u},0 ${u + 0.04},0 ${u + 0.04},1 ${u},1`, WOOD);
      kit.line(P, '-.88,.95 0,.84 .88,.95', 0.01, PAPER, { taper: [0, 0] });
      for (const [u, w, c] of [
        [-0.7, 0.26, [0.94, 0.012, 240]],
        [-0.36, 0.2, [0.6, 0.12, 250]],
        [-0.08, 0.24, [0.9, 0.05, 85]],
        [0.24, 0.18, [0.58, 0.16, 25]],
        [0.5, 0.24, [0.93, 0.012, 90]],
      ] as [number, number, Lch][])
        kit.shape(P, `${u},.88! ${u + w},.87! ${u + w + 0.02},.5 ${u + w * 0.5},.54 ${u - 0.01},.5`, c, {
          strokes: 1.5,
        });
    },
  },
  haystack: {
    height: 2.8,
    width: 1.1,
    top: 0.5,
    paint(kit, colour = [0.78, 0.11, 85]) {
      kit.shape(P, '-.5,0 -.52,.3 -.36,.7 0,1 .36,.7 .52,.3 .5,0 0,-.02', colour, {
        volume: 1,
        strokes: 1.3,
        texture: 1.5,
      });
      for (let i = 0; i < 22; i++)
        kit.line(
          P,
          `${-0.45 + i * 0.042},${0.06 + ((i * 7) % 9) * 0.07} ${-0.42 + i * 0.04},${0.18 + ((i * 7) % 9) * 0.07}`,
          0.012,
          adjustLch(colour, i % 2 ? -0.14 : 0.08),
        );
    },
  },
};
