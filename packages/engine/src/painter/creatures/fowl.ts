import { adjustLch, mixLch, type Lch } from '@urbild/core';
import { REGION } from '../scene/region';
import { EYE, type CreatureDrawing } from './creature';

const A = REGION.animal;

interface Fowl {
  readonly height: number;
  readonly width: number;
  readonly coat: Lch;
  readonly wing: Lch;
  readonly head?: Lch;
  readonly beak: Lch;
  /** Where the head is, and its radius. */
  readonly at: readonly [u: number, v: number, r: number];
  readonly bill: readonly [length: number, thick: number];
  readonly neck: number;
  /** Middle and half axes of the body. */
  readonly body: readonly [v: number, ru: number, rv: number];
  readonly legs: number;
  readonly swims?: boolean;
  readonly comb?: Lch;
  readonly ring?: Lch;
}

/** A bird on its feet or on the water. */
const fowl = (b: Fowl): CreatureDrawing => ({
  height: b.height,
  width: b.width,
  lives: b.swims ? 'water' : 'ground',
  paint(kit, look) {
    const coat = look.colour ?? b.coat;
    const wing = look.colour ? adjustLch(look.colour, -0.07) : b.wing;
    const head = look.colour ?? b.head ?? coat;
    const [v, ru, rv] = b.body;
    const [hu, hv, hr] = b.at;
    if (!b.swims)
      for (const u of [-0.05, 0.06]) {
        kit.line(A, `${u},${v - rv * 0.8} ${u + 0.01},.01`, 0.03, b.beak, { taper: [0, 0] });
        kit.line(A, `${u - 0.04},.005 ${u + 0.09},.005`, 0.028, b.beak);
      }
    kit.shape(
      A,
      `${-ru * 0.6},${v} ${-ru * 1.25},${v + rv * 0.75} ${-ru * 1.45},${v + rv * 0.55}! ${-ru * 0.9},${v - rv * 0.2}`,
      adjustLch(wing, -0.04),
    );
    kit.band(
      A,
      `${ru * 0.55},${v + rv * 0.1} ${(ru + hu) / 2 + (hv > 0.8 ? 0.05 : 0)},${(v + hv) / 2} ${hu - hr * 0.2},${hv}`,
      [rv * 0.9, b.neck * 1.15, b.neck],
      coat,
      { volume: 0.8 },
    );
    kit.shape(
      A,
      `${-ru},${v + rv * 0.35} ${-ru * 0.4},${v + rv * 0.85} ${ru * 0.5},${v + rv * 0.8} ${ru},${v + rv * 0.1} ${ru * 0.8},${v - rv * 0.7} 0,${v - rv} ${-ru * 0.75},${v - rv * 0.65}`,
      coat,
      { volume: 0.9, shade: 1.2, rim: 1.2 },
    );
    kit.shape(
      A,
      `${ru * 0.45},${v + rv * 0.45} ${-ru * 0.1},${v + rv * 0.62} ${-ru * 1.15},${v + rv * 0.35}! ${-ru * 0.4},${v - rv * 0.35} ${ru * 0.3},${v - rv * 0.2}`,
      wing,
      { volume: 0.6 },
    );
    for (let i = 0; i < 3; i++)
      kit.line(
        A,
        `${ru * 0.2},${v + rv * (0.3 - 0.22 * i)} ${-ru * 0.3},${v + rv * (0.22 - 0.2 * i)} ${-ru * (0.95 - 0.12 * i)},${v + rv * (0.3 - 0.2 * i)}`,
        0.014,
        adjustLch(wing, -0.12),
        { alpha: 0.6 },
      );
    const [bl, bt] = b.bill;
    kit.shape(
      A,
      `${hu + hr * 0.7},${hv + bt}! ${hu + hr + bl},${hv - bt * 0.2}! ${hu + hr * 0.7},${hv - bt}!`,
      b.beak,
      { shade: 1 },
    );
    kit.disc(A, hu, hv, hr, hr * 0.95, head, { volume: 0.8, rim: 1.2 });
    if (b.ring)
      kit.band(A, `${hu - hr * 1.1},${hv - hr * 1.15} ${hu + hr * 0.6},${hv - hr * 1.3}`, [0.04, 0.04], b.ring, {
        outline: 0,
      });
    if (b.comb)
      kit.shape(
        A,
        `${hu - hr},${hv + hr * 0.7} ${hu - hr * 0.7},${hv + hr * 1.5} ${hu - hr * 0.2},${hv + hr * 1.1} ${hu + hr * 0.2},${hv + hr * 1.6} ${hu + hr * 0.7},${hv + hr * 0.6}`,
        b.comb,
      );
    kit.disc(
      REGION.eye,
      hu + hr * 0.35,
      hv + hr * 0.18,
      hr * 0.16 + 0.006,
      hr * 0.18 + 0.006,
      head[0] < 0.35 ? [0.85, 0.1, 90] : EYE,
      { plain: true },
    );
    if (look.scarf)
      kit.band(
        REGION.garment,
        `${hu - hr * 1.3},${hv - hr * 1.2} ${hu + hr * 0.9},${hv - hr * 1.3}`,
        [0.08, 0.08],
        look.scarf,
      );
  },
});

const owl: CreatureDrawing = {
  height: 1.45,
  width: 0.75,
  lives: 'ground',
  paint(kit, look) {
    const coat = look.colour ?? [0.52, 0.06, 60];
    const pale = mixLch(coat, [0.93, 0.02, 85], 0.7);
    kit.shape(A, '-.12,.1 -.16,-.02! .12,-.02! .1,.1', adjustLch(coat, -0.1));
    const body = kit.shape(
      A,
      '-.3,.3 -.32,.62 -.3,.86 -.27,1! -.12,.93 .12,.93 .27,1! .3,.86 .32,.62 .3,.3 .15,.05 -.15,.05',
      coat,
      { volume: 0.9, shade: 1.2, rim: 1.3 },
    );
    kit.inside(body, () => {
      kit.disc(A, 0, 0.32, 0.2, 0.28, pale, { outline: 0 });
      for (let i = 0; i < 14; i++)
        kit.line(
          A,
          `${-0.14 + (i % 4) * 0.09},${0.5 - Math.floor(i / 4) * 0.1} ${-0.11 + (i % 4) * 0.09},${0.46 - Math.floor(i / 4) * 0.1} ${-0.08 + (i % 4) * 0.09},${0.5 - Math.floor(i / 4) * 0.1}`,
          0.016,
          adjustLch(coat, -0.08),
          { alpha: 0.8 },
        );
    });
    for (const s of [-1, 1]) {
      kit.shape(A, `${s * 0.26},.62 ${s * 0.36},.45 ${s * 0.28},.12! ${s * 0.19},.3`, adjustLch(coat, -0.06), {
        volume: 0.6,
      });
      kit.disc(A, s * 0.13, 0.76, 0.14, 0.15, pale, { outline: 0.6 });
      kit.disc(REGION.eye, s * 0.12, 0.76, 0.075, 0.08, [0.82, 0.15, 85], { plain: true });
      kit.disc(REGION.eye, s * 0.115, 0.76, 0.045, 0.05, EYE, { plain: true });
      kit.bright(REGION.eye, s * 0.115 + 0.018, 0.78, 0.014, 0.015, [0.98, 0.01, 90]);
      kit.band(A, `${s * 0.08},.06 ${s * 0.09},.0`, [0.09, 0.07], [0.7, 0.11, 75], { outline: 0 });
    }
    kit.shape(A, '-.035,.71! .035,.71! 0,.62!', [0.68, 0.12, 70]);
    if (look.scarf) kit.band(REGION.garment, '-.28,.58 0,.54 .28,.58', [0.08, 0.1, 0.08], look.scarf);
  },
};

const YELLOW: Lch = [0.76, 0.14, 75];

/** Birds that stand or swim, beside the heron and the gull. */
export const FOWL: Readonly<Record<string, CreatureDrawing>> = {
  owl,
  crow: fowl({
    height: 1.1,
    width: 1.3,
    coat: [0.27, 0.025, 275],
    wing: [0.22, 0.025, 270],
    beak: [0.3, 0.02, 60],
    at: [0.28, 0.78, 0.13],
    bill: [0.14, 0.05],
    neck: 0.2,
    body: [0.5, 0.36, 0.24],
    legs: 1,
  }),
  duck: fowl({
    height: 1,
    width: 1.3,
    coat: [0.72, 0.04, 70],
    wing: [0.56, 0.04, 65],
    head: [0.42, 0.09, 160],
    beak: YELLOW,
    at: [0.36, 0.82, 0.14],
    bill: [0.15, 0.05],
    neck: 0.16,
    body: [0.34, 0.46, 0.27],
    legs: 1,
    swims: true,
    ring: [0.94, 0.01, 90],
  }),
  goose: fowl({
    height: 1.9,
    width: 1.1,
    coat: [0.93, 0.012, 90],
    wing: [0.84, 0.012, 250],
    beak: [0.74, 0.14, 62],
    at: [0.34, 0.88, 0.085],
    bill: [0.11, 0.04],
    neck: 0.1,
    body: [0.42, 0.38, 0.2],
    legs: 1,
  }),
  swan: fowl({
    height: 2.1,
    width: 1.2,
    coat: [0.95, 0.01, 90],
    wing: [0.89, 0.012, 250],
    beak: [0.66, 0.15, 45],
    at: [0.42, 0.9, 0.075],
    bill: [0.1, 0.035],
    neck: 0.09,
    body: [0.2, 0.46, 0.2],
    legs: 1,
    swims: true,
  }),
  hen: fowl({
    height: 1.1,
    width: 1.2,
    coat: [0.66, 0.11, 55],
    wing: [0.56, 0.11, 50],
    beak: YELLOW,
    at: [0.3, 0.8, 0.12],
    bill: [0.08, 0.04],
    neck: 0.2,
    body: [0.46, 0.38, 0.27],
    legs: 1,
    comb: [0.56, 0.19, 27],
  }),
};
