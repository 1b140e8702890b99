import { adjustLch, type Lch } from '@urbild/core';
import { tree as paintTree } from '../land/plants';
import { fir as paintFir } from '../land/fir';
import { punt, sailingBoat } from './boats';
import { stiltHouse } from './stiltHouse';
import { lighthouse, mill } from './towers';
import { isSnowy } from '../light/environment';
import { REGION } from '../scene/region';
import { LEAF, STONE, type ThingDrawing } from './thing';

/** Houses, trees, boats: things as large as a place. */
export const LANDMARK_THINGS: Readonly<Record<string, ThingDrawing>> = {
  boat: {
    height: 1.4,
    width: 5,
    stands: 'water',
    paint: (kit, colour) =>
      punt(kit.scene, { x: kit.x, y: kit.y, s: kit.size * 4.6, depth: kit.depth, colour, flip: kit.options.flip }),
  },
  'sailing boat': {
    height: 6,
    width: 1,
    stands: 'water',
    paint: (kit, colour) =>
      sailingBoat(kit.scene, kit.x, kit.y, kit.size, kit.depth, { colour, flip: kit.options.flip }),
  },
  'stilt house': {
    height: 10,
    width: 1.6,
    stands: 'water',
    paint: (kit) => stiltHouse(kit.scene, kit.x, kit.y, kit.size * 0.7, kit.depth, { flip: kit.options.flip }),
  },
  windmill: {
    height: 16,
    width: 0.9,
    paint: (kit) => mill(kit.scene, { x: kit.x, y: kit.y, s: kit.size, depth: kit.depth, turn: 0.28 }),
  },
  lighthouse: { height: 16, width: 0.4, paint: (kit) => lighthouse(kit.scene, kit.x, kit.y, kit.size, kit.depth) },
  tree: { height: 9, width: 1, paint: (kit) => paintTree(kit.scene, kit.x, kit.y, kit.size, kit.depth) },
  fir: { height: 9, width: 0.6, paint: (kit) => paintFir(kit.scene, kit.x, kit.y, kit.size, kit.depth) },
  cottage: {
    height: 8.5,
    width: 1.1,
    paint(kit, colour = [0.88, 0.03, 82]) {
      const lit = kit.scene.light.lamps;
      const snowy = isSnowy(kit.scene.light);
      kit.poly(REGION.building, '.26,.7 .36,.7 .36,1.02 .26,1.02', [0.5, 0.08, 35]);
      kit.poly(REGION.building, '-.5,0 .5,0 .5,.5 -.5,.5', colour, { strokes: 1.57, texture: 1.1 });
      kit.poly(REGION.roof, '-.6,.46 -.36,.92 .36,.92 .6,.46', snowy ? [0.94, 0.012, 250] : [0.5, 0.11, 35], {
        strokes: 1.2,
      });
      if (!snowy)
        for (const v of [0.56, 0.67, 0.78])
          kit.line(REGION.roof, `${-0.56 + v * 0.1},${v} ${0.56 - v * 0.1},${v}`, 0.012, [0.4, 0.09, 32], {
            alpha: 0.7,
          });
      kit.shape(REGION.wood, '-.08,0! -.08,.26 0,.32 .08,.26 .08,0!', [0.42, 0.1, 210]);
      for (const u of [-0.3, 0.3]) {
        kit.poly(REGION.building, `${u - 0.1},.16 ${u + 0.1},.16 ${u + 0.1},.38 ${u - 0.1},.38`, [0.94, 0.015, 85]);
        kit
          .pen(REGION.window, lit)
          .shape(
            kit.path(`${u - 0.08},.18 ${u + 0.08},.18 ${u + 0.08},.36 ${u - 0.08},.36`),
            lit ? [0.88, 0.135, 78] : [0.45, 0.045, 240],
            { texture: 0.3 },
          );
        kit.line(REGION.building, `${u},.17 ${u},.37`, 0.012, [0.94, 0.015, 85]);
        if (lit) kit.glow(u, 0.27, 0.3, [0.82, 0.13, 70], 0.4);
      }
      for (const [u, r] of [
        [-0.46, 0.11],
        [-0.56, 0.08],
        [0.5, 0.1],
      ])
        kit.disc(REGION.foliage, u, r * 0.7, r, r * 0.8, LEAF, { volume: 0.9, mottled: true });
    },
  },
  greenhouse: {
    height: 6.5,
    width: 1.7,
    paint(kit, colour = [0.9, 0.015, 160]) {
      const glass: Lch = [0.84, 0.035, 190];
      kit.poly(REGION.window, '-.8,.12 .8,.12 .8,.56 -.8,.56', glass, { texture: 0.5, strokes: 1.57 });
      kit.poly(REGION.window, '-.88,.54 -.5,.96 .5,.96 .88,.54', adjustLch(glass, 0.05), { texture: 0.5 });
      for (let i = 0; i < 9; i++)
        kit.disc(
          REGION.foliage,
          -0.7 + i * 0.175,
          0.2 + (i % 3) * 0.05,
          0.1,
          0.13,
          adjustLch(LEAF, (i % 4) * 0.04 - 0.06),
          { outline: 0.5, alpha: 0.8 },
        );
      for (let i = 0; i <= 8; i++) {
        kit.line(REGION.building, `${-0.8 + i * 0.2},.1 ${-0.8 + i * 0.2},.56`, 0.018, colour, { taper: [0, 0] });
        kit.line(REGION.building, `${-0.88 + i * 0.22},.55 ${-0.5 + i * 0.125},.96`, 0.016, colour, { taper: [0, 0] });
      }
      for (const v of [0.55, 0.96])
        kit.line(REGION.building, `${v > 0.9 ? -0.5 : -0.88},${v} ${v > 0.9 ? 0.5 : 0.88},${v}`, 0.025, colour, {
          taper: [0, 0],
        });
      kit.poly(REGION.building, '-.82,0 .82,0 .82,.13 -.82,.13', [0.58, 0.08, 40]);
      kit.poly(REGION.wood, '-.1,0 .1,0 .1,.46 -.1,.46', [0.55, 0.08, 160]);
    },
  },
  bridge: {
    height: 4,
    width: 4,
    paint(kit, colour = STONE) {
      kit.shape(REGION.rock, '-1.9,0! -1.9,.5 0,.98 1.9,.5 1.9,0! 1.2,0! .7,.5 0,.62 -.7,.5 -1.2,0!', colour, {
        volume: 0.6,
        strokes: 0,
      });
      kit.line(REGION.rock, '-1.9,.52 0,1 1.9,.52', 0.09, adjustLch(colour, 0.1));
    },
  },
  peaks: {
    height: 18,
    width: 2.2,
    paint(kit, colour = [0.56, 0.045, 262]) {
      for (const [u, w, h] of [
        [-0.6, 0.9, 0.7],
        [0.5, 1.1, 0.82],
        [0, 1.2, 1],
      ]) {
        const peak = kit.poly(
          REGION.hill,
          `${u - w / 2},0 ${u - w * 0.2},${h * 0.62} ${u},${h} ${u + w * 0.16},${h * 0.7} ${u + w / 2},0`,
          colour,
          { outline: 0, volume: 0.9 },
        );
        kit.inside(peak, () =>
          kit.poly(
            REGION.hill,
            `${u - w * 0.25},${h * 0.72} ${u - 0.06},${h * 0.6} ${u},${h * 0.7} ${u + 0.1},${h * 0.58} ${u + 0.25},${h * 0.7} ${u},${h * 1.1}`,
            [0.95, 0.012, 245],
            { outline: 0 },
          ),
        );
      }
    },
  },
  bush: {
    height: 1.8,
    width: 1.4,
    paint(kit, colour) {
      const season = kit.scene.light.season;
      const leaf =
        colour ??
        (season === 'autumn' ? ([0.58, 0.12, 55] as Lch) : season === 'winter' ? ([0.45, 0.03, 70] as Lch) : LEAF);
      for (const [u, v, r] of [
        [-0.42, 0.34, 0.3],
        [0.4, 0.32, 0.3],
        [0, 0.52, 0.42],
        [-0.16, 0.3, 0.3],
        [0.2, 0.26, 0.28],
      ])
        kit.disc(REGION.foliage, u, v, r, r * 0.85, adjustLch(leaf, v * 0.08 - 0.04), {
          volume: 1,
          mottled: true,
          strokes: -0.6,
        });
      const r = kit.scene.random;
      for (let i = 0; i < 14; i++)
        kit.disc(
          REGION.foliage,
          r.range(-0.6, 0.6),
          r.range(0.15, 0.85),
          0.035,
          0.03,
          r.chance(0.5) ? [0.66, 0.17, 20] : adjustLch(leaf, 0.14),
          { plain: true },
        );
    },
  },
};
