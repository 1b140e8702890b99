import { adjustLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { BRASS, DARK_WOOD, GLOW, IRON, WOOD, type ThingDrawing } from './thing';

const P = REGION.prop;
const W = REGION.wood;

/** Things of street and sky. */
export const STREET: Readonly<Record<string, ThingDrawing>> = {
  signpost: {
    height: 4,
    width: 0.5,
    paint(kit, colour = WOOD) {
      kit.poly(W, '-.03,0 .03,0 .03,1 -.03,1', adjustLch(colour, -0.1));
      kit.poly(W, '-.04,.84 .3,.84 .36,.89 .3,.94 -.04,.94', colour);
      kit.poly(W, '.04,.68 -.26,.68 -.32,.73 -.26,.78 .04,.78', adjustLch(colour, 0.05));
    },
  },
  'street lamp': {
    height: 6.6,
    width: 0.2,
    paint(kit, colour = IRON) {
      kit.poly(P, '-.035,0 .035,0 .02,.08 .013,.84 -.013,.84 -.02,.08', colour);
      kit.poly(P, '-.045,.83 .045,.83 .06,.86 -.06,.86', colour);
      const lit = kit.scene.light.lamps;
      kit
        .pen(REGION.window, lit)
        .shape(kit.path('-.042,.86 .042,.86 .058,.95 -.058,.95'), lit ? [0.95, 0.1, 88] : [0.82, 0.03, 200], {
          volume: 0,
          rim: 0,
          outline: 1,
        });
      kit.poly(P, '-.07,.95 .07,.95 0,1.01', colour);
      if (!lit) return;
      kit.glow(0, 0.9, 0.22, GLOW, 0.7);
      kit.glow(0, 0.9, 0.7, GLOW, 0.3);
      kit.lamp(0, 0.9, 0.9);
    },
  },
  bicycle: {
    height: 2.9,
    width: 1.6,
    top: 0.8,
    seatAt: -0.2,
    paint(kit, colour = [0.55, 0.15, 28]) {
      for (const u of [-0.5, 0.5]) {
        const rim = Array.from(
          { length: 25 },
          (_, i) =>
            `${(u + Math.cos(i * 0.2618) * 0.31).toFixed(3)},${(0.32 + Math.sin(i * 0.2618) * 0.31).toFixed(3)}`,
        ).join(' ');
        kit.line(P, rim, 0.035, [0.24, 0.01, 260], { taper: [0, 0] });
        if (!kit.small)
          for (let i = 0; i < 6; i++)
            kit.line(
              P,
              `${u + Math.cos(i * 0.52) * 0.29},${0.32 + Math.sin(i * 0.52) * 0.29} ${u - Math.cos(i * 0.52) * 0.29},${0.32 - Math.sin(i * 0.52) * 0.29}`,
              0.007,
              [0.75, 0.01, 250],
              { taper: [0, 0] },
            );
      }
      for (const t of [
        '-.5,.32 -.06,.3 .34,.74',
        '-.5,.32 -.2,.74 .34,.74',
        '-.06,.3 -.22,.82',
        '.5,.32 .34,.74 .31,.9',
      ])
        kit.line(P, t.split(' ').length === 3 ? t.replace(/ /g, '! ') : t, 0.035, colour, { taper: [0, 0] });
      kit.shape(P, '-.36,.84 -.1,.84 -.08,.89 -.34,.9', DARK_WOOD);
      kit.line(P, '.31,.9 .4,.97 .52,.94', 0.03, IRON);
      kit.shape(W, '.36,.62! .64,.62! .66,.84! .34,.84!', [0.66, 0.08, 72], { strokes: 0 });
      kit.disc(P, -0.06, 0.3, 0.07, 0.07, IRON);
    },
  },
  cart: {
    height: 2.2,
    width: 2,
    top: 0.75,
    paint(kit, colour = WOOD) {
      kit.line(W, '.6,.55 1.15,.62', 0.06, colour, { taper: [0, 0] });
      kit.poly(W, '-.85,.45 .7,.45 .8,.86 -.9,.86', colour, { strokes: 0 });
      for (const v of [0.58, 0.72]) kit.line(W, `-.88,${v} .76,${v}`, 0.02, adjustLch(colour, -0.14));
      kit.shape(P, '-.7,.84 -.5,1.05 -.1,1.12 .4,1.02 .6,.84', [0.78, 0.1, 85], { strokes: 1 });
      for (const u of [-0.45, 0.4]) {
        kit.disc(W, u, 0.32, 0.32, 0.32, DARK_WOOD);
        kit.disc(W, u, 0.32, 0.25, 0.25, adjustLch(WOOD, 0.12), { outline: 0 });
        for (let i = 0; i < 4; i++)
          kit.line(
            W,
            `${u + Math.cos(i * 0.785) * 0.26},${0.32 + Math.sin(i * 0.785) * 0.26} ${u - Math.cos(i * 0.785) * 0.26},${0.32 - Math.sin(i * 0.785) * 0.26}`,
            0.045,
            DARK_WOOD,
            { taper: [0, 0] },
          );
      }
    },
  },
  sledge: {
    height: 0.9,
    width: 2.4,
    top: 0.75,
    paint(kit, colour = [0.56, 0.14, 30]) {
      kit.line(W, '-1.1,.04 .8,.04 1.1,.2 1.1,.5', 0.07, DARK_WOOD, { taper: [0, 0] });
      for (const u of [-0.8, 0, 0.7]) kit.line(W, `${u},.05 ${u},.62`, 0.07, DARK_WOOD, { taper: [0, 0] });
      kit.poly(W, '-1.15,.6 1,.6 .92,.78 -1.1,.78', colour, { strokes: 0 });
    },
  },
  stall: {
    height: 5,
    width: 1.1,
    paint(kit, colour = [0.58, 0.17, 28]) {
      for (const u of [-0.45, 0.42]) kit.poly(W, `${u},0 ${u + 0.03},0 ${u + 0.03},.8 ${u},.8`, DARK_WOOD);
      kit.poly(W, '-.5,.04 .5,.04 .5,.34 -.5,.34', WOOD, { strokes: 0 });
      const r = kit.scene.random;
      const fruit: readonly Lch[] = [
        [0.6, 0.18, 28],
        [0.72, 0.15, 60],
        [0.6, 0.14, 135],
        [0.84, 0.14, 95],
      ];
      for (let i = 0; i < 18; i++)
        kit.disc(P, -0.44 + (i % 9) * 0.11, 0.37 + (i > 8 ? 0.045 : 0), 0.05, 0.045, r.pick(fruit), {
          volume: 0.9,
          outline: 0.5,
        });
      for (let i = 0; i < 6; i++) {
        const u = -0.54 + i * 0.18;
        kit.shape(
          P,
          `${u * 0.9},.95! ${(u + 0.18) * 0.9},.95! ${u + 0.18},.7! ${u + 0.09},.64 ${u},.7!`,
          i % 2 ? [0.94, 0.02, 88] : colour,
        );
      }
    },
  },
  train: {
    height: 4.4,
    width: 2.4,
    paint(kit, colour = [0.42, 0.1, 25]) {
      kit.poly(P, '-1.1,.24 -.4,.24 -.4,.9 -1.1,.9', colour);
      kit.poly(REGION.roof, '-1.18,.88 -.32,.88 -.36,.97 -1.14,.97', adjustLch(colour, -0.1));
      kit.poly(
        REGION.window,
        '-.96,.56 -.56,.56 -.56,.8 -.96,.8',
        kit.scene.light.lamps ? [0.87, 0.13, 78] : [0.75, 0.04, 220],
      );
      kit.shape(P, '-.42,.28! .95,.28! 1.05,.46 .95,.66! -.42,.66!', adjustLch(colour, -0.06), { volume: 1 });
      kit.poly(P, '.62,.64 .82,.64 .88,1 .56,1', IRON);
      kit.disc(P, 0.15, 0.68, 0.14, 0.1, BRASS);
      for (const [u, r] of [
        [-0.85, 0.19],
        [-0.45, 0.19],
        [0.1, 0.15],
        [0.5, 0.15],
        [0.86, 0.15],
      ]) {
        kit.disc(P, u, r, r, r, IRON);
        kit.disc(P, u, r, r * 0.62, r * 0.62, colour, { outline: 0 });
      }
      for (const [u, v, r] of [
        [0.7, 1.14, 0.12],
        [0.5, 1.28, 0.17],
        [0.2, 1.4, 0.2],
      ])
        kit.disc(REGION.cloud, u, v, r, r * 0.8, [0.92, 0.01, 240], { alpha: 0.8, outline: 0 });
    },
  },
  balloon: {
    height: 6.5,
    width: 0.7,
    stands: 'air',
    paint(kit, colour = [0.58, 0.18, 28]) {
      for (const u of [-0.09, 0.09]) kit.line(P, `${u},.12 ${u * 2.2},.36`, 0.006, [0.8, 0.04, 75], { taper: [0, 0] });
      const bag = kit.shape(P, '-.08,.3! -.28,.5 -.34,.74 -.22,.94 0,1 .22,.94 .34,.74 .28,.5 .08,.3!', colour, {
        volume: 1,
        rim: 1.4,
        strokes: 1.57,
      });
      kit.inside(bag, () => {
        for (const [a, b] of [
          [-0.2, -0.1],
          [0.02, 0.12],
          [0.22, 0.3],
        ])
          kit.shape(P, `${a * 0.3},.28 ${a * 1.1},.6 ${a},1 ${b},1 ${b * 1.15},.6 ${b * 0.3},.28`, [0.95, 0.025, 85], {
            outline: 0,
          });
      });
      kit.poly(W, '-.1,0 .1,0 .11,.13 -.11,.13', [0.6, 0.08, 68]);
    },
  },
  rainbow: {
    height: 9,
    width: 2,
    stands: 'air',
    paint(kit) {
      const bows: readonly Lch[] = [
        [0.62, 0.17, 27],
        [0.74, 0.15, 60],
        [0.88, 0.14, 98],
        [0.7, 0.14, 145],
        [0.62, 0.13, 245],
        [0.52, 0.13, 305],
      ];
      bows.forEach((c, i) => {
        const r = 1 - i * 0.035;
        const arc = Array.from(
          { length: 19 },
          (_, k) => `${(Math.cos((k / 18) * Math.PI) * r).toFixed(3)},${(Math.sin((k / 18) * Math.PI) * r).toFixed(3)}`,
        ).join(' ');
        kit.line(REGION.sky, arc, 0.037, c, { alpha: 0.55, taper: [0, 0] });
      });
    },
  },
};
