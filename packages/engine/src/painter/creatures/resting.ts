import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { EYE, type CreatureDrawing } from './creature';

const A = REGION.animal;

/** A creature that sits on its haunches, turned a little to the viewer: cat, dog, fox. */
export const sittingAs =
  (o: {
    coat: Lch;
    bib: Lch;
    ears: 'pointed' | 'hanging' | 'long';
    tail: 'bushy' | 'thin' | 'puff';
    muzzle: number;
    dark?: Lch;
  }): CreatureDrawing['paint'] =>
  (kit, look) => {
    const coat = look.colour ?? o.coat;
    const dark = o.dark ?? adjustLch(coat, -0.12);
    const bib = look.colour && look.colour[0] < 0.4 ? adjustLch(coat, 0.08) : o.bib;
    if (o.tail === 'bushy') {
      kit.shape(A, '-.22,.06 -.5,.05 -.62,.2 -.74,.42! -.5,.36 -.3,.2', coat, { volume: 0.9 });
      kit.shape(A, '-.6,.24 -.74,.42! -.55,.38', [0.93, 0.02, 85], { outline: 0 });
    } else if (o.tail === 'puff') kit.disc(A, -0.32, 0.12, 0.09, 0.085, o.bib);
    else kit.band(A, '-.2,.06 -.42,.05 -.52,.16 -.44,.26', [0.08, 0.075, 0.06, 0.03], coat);
    const body = kit.shape(A, '-.3,.02 -.33,.22 -.2,.48 -.02,.66 .12,.66 .2,.5 .21,.25 .24,.02', coat, {
      volume: 0.9,
      shade: 1.2,
      rim: 1.3,
    });
    kit.inside(body, () => kit.shape(A, '.02,.62 .18,.62 .22,.4 .16,.2 .08,.35', bib, { outline: 0, texture: 0.6 }));
    kit.shape(A, '-.28,.02 -.32,.16 -.2,.28 -.06,.2 -.04,.03', adjustLch(coat, -0.03), { volume: 0.7 });
    for (const u of [0.06, 0.17]) {
      kit.band(A, `${u},.36 ${u + 0.01},.03`, [0.1, 0.075], adjustLch(coat, -0.02));
      kit.disc(A, u + 0.03, 0.025, 0.055, 0.03, o.dark ?? bib, {});
    }
    const k = 0.79;
    const ear = (u: number) => {
      if (o.ears === 'pointed') {
        kit.shape(A, `${u - 0.08},.88! ${u - 0.03},1.02! ${u + 0.08},.9!`, coat);
        kit.shape(A, `${u - 0.04},.9 ${u - 0.02},.98! ${u + 0.04},.9`, mixLch(coat, [0.7, 0.08, 20], 0.45), {
          outline: 0,
        });
      }
      if (o.ears === 'long') kit.band(A, `${u},.86 ${u - 0.02},1.05 ${u - 0.04},1.22`, [0.07, 0.1, 0.04], coat);
    };
    ear(-0.04);
    ear(0.19);
    const head = kit.shape(A, `-.12,${k} -.1,.9 .07,.95 .25,.9 .28,${k} .24,.68 .08,.62 -.08,.68`, coat, {
      volume: 0.8,
      rim: 1.3,
    });
    kit.inside(head, () =>
      kit.shape(A, '0,.6 .02,.73 .13,.76 .26,.73 .3,.6 .1,.55', bib, { outline: 0, texture: 0.6 }),
    );
    kit.shape(A, `.07,.76 ${0.14 + o.muzzle},.73 ${0.15 + o.muzzle},.68 .08,.65`, bib, { outline: 0.5 });
    kit.disc(A, 0.15 + o.muzzle, 0.73, 0.026, 0.02, [0.22, 0.03, 30], { plain: true });
    for (const u of [0, 0.19]) {
      kit.disc(REGION.eye, u + 0.01, 0.8, 0.02, 0.026, EYE, { plain: true });
      kit.bright(REGION.eye, u + 0.018, 0.81, 0.007, 0.008, [0.98, 0.01, 90]);
    }
    if (o.ears === 'hanging')
      for (const u of [-0.11, 0.27])
        kit.band(A, `${u},.9 ${u + (u < 0 ? -0.04 : 0.04)},.78 ${u},.66`, [0.07, 0.12, 0.07], dark);
    if (look.scarf) kit.band(REGION.garment, '-.1,.65 .08,.6 .25,.65', [0.07, 0.09, 0.07], look.scarf);
  };

/** A creature curled up asleep. */
export const curledAs =
  (o: { coat: Lch; tip: Lch; ears: 'pointed' | 'round' | 'none' }): CreatureDrawing['paint'] =>
  (kit, look) => {
    const coat = look.colour ?? o.coat;
    kit.shape(A, '-.52,.12 -.45,.34 -.15,.47 .2,.42 .46,.25 .5,.08 .2,.01 -.3,.01', coat, {
      volume: 1,
      shade: 1.3,
      rim: 1.3,
    });
    kit.line(A, '-.3,.3 -.1,.2 -.05,.05', 0.014, adjustLch(coat, -0.14), { alpha: 0.6 });
    if (o.ears !== 'none')
      for (const u of [0.16, 0.33])
        kit.shape(
          A,
          o.ears === 'pointed'
            ? `${u - 0.06},.28! ${u - 0.02},.42! ${u + 0.06},.29!`
            : `${u - 0.05},.3 ${u},.37 ${u + 0.05},.3`,
          coat,
        );
    kit.shape(A, '.08,.18 .14,.3 .3,.33 .42,.24 .5,.13 .4,.07 .2,.06', adjustLch(coat, 0.02), { volume: 0.8 });
    kit.shape(A, '.28,.1 .5,.14 .47,.06 .3,.05', o.tip, { outline: 0 });
    kit.line(REGION.eye, '.24,.2 .29,.175 .35,.2', 0.018, EYE);
    kit.disc(A, 0.5, 0.125, 0.022, 0.018, [0.22, 0.03, 30], { plain: true });
    kit.shape(A, '-.5,.1 -.4,.02 0,-.01 .3,.03 .36,.1 .1,.1 -.2,.11 -.4,.2', adjustLch(coat, -0.04), { volume: 0.7 });
    kit.shape(A, '.2,.02 .36,.1! .3,.03', o.tip, { outline: 0 });
  };
