import { adjustLch, mixLch, type Lch } from '@urbild/core';
import type { Kit } from '../scene/kit';
import { REGION } from '../scene/region';
import { EYE, type CreatureDrawing, type CreatureLook } from './creature';

const A = REGION.animal;

/** The build of a four-legged creature; lengths in its height, colours OKLCH. */
export interface Build {
  readonly height: number;
  readonly width: number;
  readonly coat: Lch;
  readonly belly?: Lch;
  readonly socks?: Lch;
  /** Length of the trunk, its thickness, height of the back. */
  readonly length: number;
  readonly trunk: number;
  readonly back: number;
  readonly leg: number;
  /** Middle of the head, its radius, length of the muzzle and how far it hangs. */
  readonly head: readonly [u: number, v: number, r: number];
  readonly muzzle: readonly [length: number, thick: number, drop: number];
  readonly neck: number;
  readonly ears: 'pointed' | 'round' | 'long' | 'hanging' | 'sideways';
  readonly tail: 'bushy' | 'long' | 'short' | 'curl' | 'hair' | 'up';
  readonly mane?: Lch;
  readonly antlers?: boolean;
  readonly horns?: boolean;
  readonly spots?: Lch;
  readonly woolly?: boolean;
  readonly mask?: Lch;
}

/** A creature on four legs, standing or walking; it sits or sleeps where it can. */
export const quadruped = (
  b: Build,
  rest?: { sit?: CreatureDrawing['paint']; sleep?: CreatureDrawing['paint'] },
): CreatureDrawing => ({
  height: b.height,
  width: b.width,
  lives: 'ground',
  paint(kit, look) {
    if (look.action === 'sleep' && rest?.sleep) return rest.sleep(kit, look);
    if (look.action !== 'run' && look.action !== 'walk' && look.action !== 'stand' && rest?.sit)
      return rest.sit(kit, look);
    standing(kit, b, look);
  },
});

function standing(kit: Kit, b: Build, look: CreatureLook): void {
  const coat = look.colour ?? b.coat;
  const dark = adjustLch(coat, -0.1);
  const belly = b.belly ?? adjustLch(coat, 0.06);
  const half = b.length / 2;
  const low = b.back - b.trunk;
  const run = look.action === 'run' ? 0.16 : look.action === 'walk' ? 0.07 : 0.01;
  const legs = (colour: Lch, shift: number, near: boolean) => {
    for (const [x, s] of [
      [-half * 0.82, -1],
      [half * 0.74, 1],
    ]) {
      const foot = x + s * shift;
      const knee = x + s * shift * 0.35 + (s < 0 ? -0.02 : 0.015);
      kit.band(
        A,
        `${x},${low + b.trunk * 0.35} ${knee},${low * 0.5} ${foot},0.015`,
        [b.leg * 1.9, b.leg, b.leg * 0.85],
        colour,
        { shade: 0.8 },
      );
      if (b.socks)
        kit.band(A, `${knee + (foot - knee) * 0.3},${low * 0.36} ${foot},0.01`, [b.leg * 0.95, b.leg * 0.85], b.socks, {
          outline: 0,
        });
      kit.band(
        A,
        `${foot - b.leg * 0.3},0.01 ${foot + b.leg * 0.75},0.006`,
        [b.leg * 0.55, b.leg * 0.4],
        near ? adjustLch(colour, -0.16) : adjustLch(colour, -0.2),
        { outline: 0 },
      );
    }
  };
  legs(adjustLch(coat, -0.11), -run - 0.05, false);
  tail(kit, b, coat, half);
  const [hu, hv, hr] = b.head;
  kit.band(
    A,
    `${half * 0.55},${b.back - b.trunk * 0.42} ${half * 0.9},${(b.back + hv) / 2 - 0.02} ${hu - hr * 0.2},${hv}`,
    [b.trunk * 0.95, b.neck * 1.25, b.neck],
    coat,
    { volume: 0.8 },
  );
  const trunk = kit.shape(
    A,
    `${-half},${b.back - b.trunk * 0.25} ${-half * 0.75},${b.back} 0,${b.back - b.trunk * 0.06} ${half * 0.7},${b.back + 0.005} ${half},${b.back - b.trunk * 0.4} ${half * 0.8},${low + b.trunk * 0.1} ${half * 0.1},${low} ${-half * 0.6},${low + b.trunk * 0.16} ${-half * 0.98},${low + b.trunk * 0.3}`,
    coat,
    { volume: 0.9, shade: 1.2, rim: 1.2, strokes: 0.1 },
  );
  kit.inside(trunk, () => {
    kit.disc(A, half * 0.05, low - b.trunk * 0.02, half * 0.85, b.trunk * 0.22, belly, { plain: true, alpha: 0.55 });
    if (b.spots)
      for (const [u, v, r] of [
        [-0.6, 0.6, 0.2],
        [-0.15, 0.3, 0.24],
        [0.45, 0.7, 0.2],
      ])
        kit.disc(A, half * u, low + b.trunk * v, r * b.length * 0.5, r * b.trunk, b.spots, { outline: 0 });
  });
  if (b.woolly) wool(kit, coat, half, low, b);
  legs(dark, run, true);
  paintHead(kit, b, coat, [hu, hv, hr]);
  if (b.mane)
    kit.band(
      A,
      `${hu - hr * 0.5},${hv + hr * 0.9} ${(half + hu) / 2 - b.neck * 0.6},${(b.back + hv) / 2 + 0.05} ${half * 0.62},${b.back}`,
      [0.05, 0.1, 0.05],
      b.mane,
      { outline: 0, strokes: 1.2 },
    );
  if (look.scarf)
    kit.band(
      REGION.garment,
      `${half * 0.66},${(b.back + hv) / 2 + 0.03} ${half * 0.95 + 0.04},${(b.back + hv) / 2 - 0.08}`,
      [0.1, 0.1],
      look.scarf,
    );
}

function wool(kit: Kit, coat: Lch, half: number, low: number, b: Build): void {
  const r = kit.scene.random;
  for (let i = 0; i < 22; i++) {
    const u = r.range(-1, 1) * half;
    const v = low + b.trunk * r.range(0.1, 1.02);
    kit.disc(A, u, v, 0.09, 0.08, adjustLch(coat, r.bell() * 0.025), { volume: 0.7, rim: 0.6, outline: 0.5 });
  }
}

function tail(kit: Kit, b: Build, coat: Lch, half: number): void {
  const y = b.back - b.trunk * 0.18;
  const x = -half * 0.95;
  switch (b.tail) {
    case 'bushy':
      kit.shape(
        A,
        `${x},${y}! ${x - 0.2},${y - 0.02} ${x - 0.42},${y - 0.22} ${x - 0.5},${y - 0.36}! ${x - 0.28},${y - 0.32} ${x - 0.08},${y - 0.14}`,
        coat,
        { volume: 0.9 },
      );
      kit.shape(A, `${x - 0.38},${y - 0.21} ${x - 0.5},${y - 0.36}! ${x - 0.34},${y - 0.33}`, [0.93, 0.02, 85], {
        outline: 0,
      });
      return;
    case 'long':
      kit.band(A, `${x},${y} ${x - 0.16},${y + 0.05} ${x - 0.3},${y + 0.28}`, [0.06, 0.05, 0.035], coat);
      return;
    case 'up':
      kit.band(A, `${x},${y} ${x - 0.1},${y + 0.12} ${x - 0.04},${y + 0.26}`, [0.08, 0.07, 0.04], coat);
      return;
    case 'curl':
      kit.line(
        A,
        `${x},${y} ${x - 0.07},${y + 0.05} ${x - 0.1},${y - 0.01} ${x - 0.05},${y - 0.02} ${x - 0.09},${y + 0.06}`,
        0.025,
        adjustLch(coat, -0.06),
      );
      return;
    case 'hair':
      kit.band(
        A,
        `${x},${y} ${x - 0.12},${y - 0.1} ${x - 0.13},${y - 0.42}`,
        [0.05, 0.09, 0.03],
        b.mane ?? adjustLch(coat, -0.15),
        { strokes: 1.5 },
      );
      return;
    case 'short':
      kit.disc(A, x - 0.02, y, 0.05, 0.06, b.belly ?? adjustLch(coat, 0.1));
  }
}

function paintHead(kit: Kit, b: Build, coat: Lch, [hu, hv, r]: readonly [number, number, number]): void {
  const [ml, mt, drop] = b.muzzle;
  ears(kit, b, coat, [hu, hv, r], false);
  const head = kit.shape(
    A,
    `${hu - r},${hv} ${hu - r * 0.6},${hv + r * 0.85} ${hu + r * 0.3},${hv + r * 0.8} ${hu + r * 0.8 + ml * 0.35},${hv + mt * 0.6 - drop * 0.4} ${hu + r * 0.7 + ml},${hv + mt * 0.35 - drop} ${hu + r * 0.75 + ml},${hv - mt * 0.5 - drop} ${hu + r * 0.4},${hv - r * 0.75 - drop * 0.3} ${hu - r * 0.6},${hv - r * 0.8}`,
    coat,
    { volume: 0.8, rim: 1.2 },
  );
  kit.inside(head, () => {
    const pale = b.mask ?? mixLch(coat, [0.94, 0.02, 85], 0.6);
    kit.shape(
      A,
      `${hu + r * 0.1},${hv - r * 0.3 - drop * 0.3} ${hu + r * 0.9 + ml},${hv - drop * 0.7} ${hu + r + ml},${hv - mt - drop} ${hu},${hv - r}`,
      pale,
      { outline: 0, texture: 0.5 },
    );
  });
  const nose: Lch = [0.22, 0.03, 30];
  kit.disc(A, hu + r * 0.7 + ml, hv + mt * 0.1 - drop, mt * 0.28 + 0.008, mt * 0.26 + 0.007, nose, { plain: true });
  kit.disc(REGION.eye, hu + r * 0.28, hv + r * 0.22, Math.max(0.014, r * 0.13), Math.max(0.016, r * 0.16), EYE, {
    plain: true,
  });
  kit.bright(REGION.eye, hu + r * 0.33, hv + r * 0.3, r * 0.045, r * 0.05, [0.98, 0.01, 90]);
  ears(kit, b, adjustLch(coat, -0.03), [hu, hv, r], true);
}

function ears(kit: Kit, b: Build, coat: Lch, [hu, hv, r]: readonly [number, number, number], near: boolean): void {
  const x = hu + (near ? -r * 0.45 : r * 0.05);
  const y = hv + r * 0.6;
  const inner: Lch = mixLch(coat, [0.7, 0.08, 20], 0.4);
  if (b.antlers)
    for (const k of near ? [0] : [0.06])
      kit.line(
        A,
        `${x + 0.03 + k},${y + 0.02} ${x - 0.02 + k},${y + 0.14} ${x + 0.05 + k},${y + 0.26}`,
        0.025,
        [0.5, 0.05, 65],
      );
  if (b.antlers) kit.line(A, `${x - 0.01},${y + 0.12} ${x + 0.09},${y + 0.2}`, 0.02, [0.5, 0.05, 65]);
  if (b.horns)
    kit.band(
      A,
      `${x + 0.03},${y + 0.02} ${x + 0.07},${y + 0.09} ${x + 0.13},${y + 0.11}`,
      [0.04, 0.03, 0.01],
      [0.86, 0.03, 85],
    );
  switch (b.ears) {
    case 'pointed':
      kit.shape(A, `${x - r * 0.32},${y}! ${x - r * 0.12},${y + r * 1.1}! ${x + r * 0.42},${y + r * 0.1}!`, coat);
      if (near)
        kit.shape(
          A,
          `${x - r * 0.15},${y + r * 0.1} ${x - r * 0.08},${y + r * 0.75}! ${x + r * 0.2},${y + r * 0.12}`,
          inner,
          { outline: 0 },
        );
      return;
    case 'round':
      kit.disc(A, x, y + r * 0.25, r * 0.36, r * 0.36, coat);
      return;
    case 'long':
      kit.band(
        A,
        `${x},${y} ${x - r * 0.2},${y + r * 1.1} ${x - r * 0.5},${y + r * 1.9}`,
        [r * 0.4, r * 0.55, r * 0.2],
        coat,
      );
      return;
    case 'hanging':
      if (near)
        kit.band(
          A,
          `${x},${y} ${x - r * 0.35},${y - r * 0.35} ${x - r * 0.25},${y - r * 1.1}`,
          [r * 0.4, r * 0.6, r * 0.4],
          adjustLch(coat, -0.1),
        );
      return;
    case 'sideways':
      kit.shape(
        A,
        `${x},${y - r * 0.1} ${x - r * 0.5},${y + r * 0.4} ${x - r * 0.95},${y + r * 0.2} ${x - r * 0.4},${y - r * 0.2}`,
        coat,
      );
  }
}
