import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { EYE, type CreatureDrawing } from './creature';

const A = REGION.animal;

const whale: CreatureDrawing = {
  height: 3.4,
  width: 2.6,
  lives: 'water',
  paint(kit, look) {
    const coat: Lch = look.colour ?? [0.42, 0.06, 245];
    kit.shape(A, '-1.02,.5 -1.25,.95 -1.5,.98! -1.36,.72 -1.12,.3', coat, { rim: 1.2 });
    kit.shape(A, '-1.02,.5 -.98,.98 -.76,1.08! -.82,.74 -.92,.34', adjustLch(coat, -0.04), { rim: 1.2 });
    kit.band(A, '-.5,.1 -.86,.3 -1.02,.56', [0.5, 0.3, 0.16], coat, { volume: 0.8 });
    const body = kit.shape(A, '-.8,-.05 -.7,.32 -.2,.66 .5,.72 .98,.52 1.16,.2 1.1,-.05', coat, {
      volume: 1,
      shade: 1.2,
      rim: 1.4,
      strokes: 0.1,
    });
    kit.inside(body, () => {
      kit.shape(A, '.2,-.1 .45,.16 1.2,.26 1.2,-.1', mixLch(coat, [0.92, 0.02, 220], 0.75), { outline: 0 });
      for (let i = 0; i < 4; i++)
        kit.line(
          A,
          `${0.4 + i * 0.1},${0.1 - i * 0.02} .8,${0.12 - i * 0.05} 1.2,${0.18 - i * 0.06}`,
          0.012,
          adjustLch(coat, 0.1),
          { alpha: 0.7 },
        );
    });
    kit.line(A, '.7,.24 .95,.27 1.15,.22', 0.018, adjustLch(coat, -0.14));
    kit.disc(REGION.eye, 0.7, 0.36, 0.035, 0.04, EYE, { plain: true });
    kit.bright(REGION.eye, 0.712, 0.375, 0.012, 0.013, [0.98, 0.01, 90]);
    for (const s of [-1, 1])
      kit.line(REGION.water, `.4,.72 ${0.4 + s * 0.03},1 ${0.4 + s * 0.22},1.16`, 0.05, [0.92, 0.03, 220], {
        alpha: 0.8,
      });
  },
};

const seal: CreatureDrawing = {
  height: 1.7,
  width: 1.7,
  lives: 'ground',
  paint(kit, look) {
    const coat: Lch = look.colour ?? [0.5, 0.03, 250];
    kit.shape(A, '-.8,.12 -1.02,.2 -1.1,.02 -.8,0', adjustLch(coat, -0.06));
    const body = kit.shape(A, '-.86,.05 -.5,.34 0,.48 .2,.85 .36,.98 .52,.92 .58,.74 .46,.5 .42,.1 .2,0 -.6,0', coat, {
      volume: 1,
      rim: 1.4,
    });
    kit.inside(body, () => kit.shape(A, '.3,.6 .5,.6 .42,.05 .1,.02', adjustLch(coat, 0.14), { outline: 0 }));
    kit.shape(A, '.1,.16 .3,.2 .5,.02 .2,-.02', adjustLch(coat, -0.07));
    kit.disc(A, 0.58, 0.78, 0.04, 0.03, EYE, { plain: true });
    kit.disc(REGION.eye, 0.46, 0.84, 0.035, 0.04, EYE, { plain: true });
    kit.bright(REGION.eye, 0.472, 0.855, 0.012, 0.013, [0.98, 0.01, 90]);
    for (const dy of [0, 0.04]) kit.line(A, `.55,${0.74 - dy} .72,${0.72 - dy * 1.5}`, 0.01, [0.9, 0.01, 90]);
  },
};

const fish: CreatureDrawing = {
  height: 0.75,
  width: 1.9,
  lives: 'water',
  paint(kit, look) {
    const coat: Lch = look.colour ?? [0.68, 0.05, 230];
    kit.shape(A, '-.5,.5 -.95,.88! -.85,.5 -.95,.12!', adjustLch(coat, -0.06));
    kit.shape(A, '-.1,.78 .1,1 .3,.74', adjustLch(coat, -0.06));
    const body = kit.shape(A, '-.62,.5 -.2,.76 .35,.78 .8,.5! .35,.24 -.2,.26', coat, { volume: 0.9, rim: 1.4 });
    kit.inside(body, () => {
      kit.shape(A, '-.5,.4 .2,.4 .7,.45 .3,.1 -.3,.1', mixLch(coat, [0.95, 0.02, 90], 0.7), { outline: 0 });
      for (let i = 0; i < 9; i++)
        kit.line(
          A,
          `${-0.4 + (i % 5) * 0.16},${0.62 - Math.floor(i / 5) * 0.12} ${-0.35 + (i % 5) * 0.16},.54 ${-0.4 + (i % 5) * 0.16},${0.48 - Math.floor(i / 5) * 0.08}`,
          0.018,
          adjustLch(coat, -0.12),
          { alpha: 0.6 },
        );
    });
    kit.line(A, '.42,.7 .36,.5 .42,.32', 0.025, adjustLch(coat, -0.15));
    kit.disc(REGION.eye, 0.57, 0.57, 0.05, 0.065, [0.95, 0.02, 90], { plain: true });
    kit.disc(REGION.eye, 0.58, 0.57, 0.028, 0.04, EYE, { plain: true });
  },
};

/** Creatures of the sea. */
export const SEA: Readonly<Record<string, CreatureDrawing>> = { whale, seal, fish };
