import type { SKRSContext2D } from '@napi-rs/canvas';
import { clamp, COLOUR_VALUES, cssOf, lchToRgb, lerp, mixLch, Random, ValueNoise, type Lch } from '@urbild/core';
import { resamplePath } from '../geometry/curve';
import { areaOf, boundsOf, type Bounds, type Point } from '../geometry/point';
import type { BladesNode, GlowNode, LineNode, Node, ShapeNode } from '../scene/displayList';
import { REGION } from '../scene/region';
import type { Scene } from '../scene/scene';
import { GouacheRenderer } from './gouache';
import { displacePixels, editPixels } from './post';
import { colourAt, hatchLines, lightSide, middleColour, taperedLine, tracePath } from './strokes';
import { CREAM, deep, type MediumKind, type MediumPalette } from './palettes';

type Level = 0 | 1 | 2;

/** Carved in two or three inks: flat areas with gouge marks along the form. */
export class LinocutRenderer extends GouacheRenderer {
  readonly #inks: readonly [Lch, Lch, Lch];
  readonly #accent?: Lch;
  /** Lightness below which the key ink, and below which the middle ink is printed. */
  readonly #thresholds: readonly [number, number];

  constructor(scene: Scene, palette: MediumPalette) {
    super(scene, palette);
    this.#inks = [palette.paper, palette.middle, palette.key];
    this.#accent = palette.accent;
    this.#thresholds = tonalParts(scene.root, palette.parts ?? [0.36, 0.3]);
  }

  #level(lightness: number): Level {
    return lightness < this.#thresholds[0] ? 2 : lightness < this.#thresholds[1] ? 1 : 0;
  }

  protected override waterTint(): Lch {
    return this.#inks[1];
  }

  protected override ground(context: SKRSContext2D, w: number, h: number): void {
    context.fillStyle = cssOf(this.#inks[0]);
    context.fillRect(0, 0, w, h);
  }

  protected override mist(): void {}

  protected override shape(context: SKRSContext2D, n: ShapeNode): void {
    if (n.blend) return this.#rays(context, n);
    if ((n.alpha ?? 1) < 0.42) return;
    const bounds = boundsOf(n.path);
    const long = Math.max(bounds[2] - bounds[0], bounds[3] - bounds[1]);
    const focus = this.#isFocus(n);
    let colour = middleColour(n);
    if (focus) colour = [Math.max(colour[0], this.#thresholds[1] + 0.04), colour[1], colour[2]];
    // fur and feathers print in the middle ink, so that they stand out on snow as well as on night
    const furred = n.region === REGION.animal && colour[0] > 0.4 && colour[0] < 0.86;
    if (furred) colour = [(this.#thresholds[0] + this.#thresholds[1]) / 2, colour[1], colour[2]];
    const level = furred ? 1 : this.#level(colour[0]);
    const accented = this.#accent && isWarm(n) ? this.#accent : undefined;
    context.save();
    context.lineJoin = 'round';
    tracePath(context, n.path);
    if (focus && !n.plain && long > 14) {
      context.strokeStyle = cssOf(this.#inks[2]);
      context.lineWidth = 3.4;
      context.stroke();
    }
    if (n.region === REGION.animal && !n.plain && long > 10) {
      context.strokeStyle = cssOf(this.#inks[level === 2 ? 0 : 2]);
      context.lineWidth = 4;
      context.stroke();
    }
    context.fillStyle = cssOf(accented ?? this.#inks[level]);
    context.fill();
    if (!n.plain && long > 10) {
      this.#gouges(context, n, bounds, colour, accented ? 'accent' : level);
      if (n.region !== REGION.none && n.region !== REGION.sky) {
        context.strokeStyle = cssOf(level === 2 && !accented ? this.#inks[0] : this.#inks[2]);
        context.lineWidth = (level === 2 ? 1.3 : 1.5) * Math.max(0.45, Math.exp(-n.depth));
        tracePath(context, n.path);
        context.stroke();
      }
    }
    context.restore();
  }

  /** Faces and clothes stay light, so that the figure stands out. */
  #isFocus(n: ShapeNode): boolean {
    const L = n.colour[0];
    return (
      n.region === REGION.skin ||
      (n.region === REGION.eye && L > 0.6) ||
      (n.region === REGION.garment && L > 0.5) ||
      (n.region === REGION.prop && L > 0.7)
    );
  }

  #gouges(context: SKRSContext2D, n: ShapeNode, bounds: Bounds, colour: Lch, printed: Level | 'accent'): void {
    const r = this.random;
    const flat = n.region === REGION.sky || (n.region === REGION.water && !!n.gradient);
    const w = bounds[2] - bounds[0];
    const h = bounds[3] - bounds[1];
    const direction = (flat ? 0 : (n.strokes ?? (w > h ? 0 : Math.PI / 2))) + r.bell() * 0.06;
    const gap = flat ? 6.2 : clamp(Math.min(w, h) / 9, 2.6, 5.2);
    context.save();
    context.clip();
    hatchLines(bounds, direction, gap, (ax, ay, bx, by) => {
      const length = Math.hypot(bx - ax, by - ay);
      for (let t = -r.next() * 0.1; t < 1;) {
        const l = r.range(10, flat ? 70 : 34) / length;
        const [px, py] = [lerp(ax, bx, t + l / 2), lerp(ay, by, t + l / 2)];
        if (px > bounds[0] - 9 && px < bounds[2] + 9 && py > bounds[1] - 9 && py < bounds[3] + 9) {
          const local = n.gradient ? colourAt(n, px, py, bounds) : colour;
          const side = n.volume === 0 || n.gradient ? 0 : lightSide(bounds, this.light.direction, px, py);
          const tone =
            n.region === REGION.skin
              ? clamp(local[0] + 0.12 - Math.max(0, side - 0.22) * 1.1)
              : clamp(local[0] - side * 0.4 + r.bell() * 0.03);
          const cut = this.#cut(tone, printed, flat);
          if (cut && cut.width > 0.06) {
            context.fillStyle = cssOf(cut.ink);
            const path: Point[] = [0, 1, 2, 3, 4, 5].map((i) => {
              const q = t + (l * i) / 5;
              return [lerp(ax, bx, q) + r.bell() * 0.35, lerp(ay, by, q) + r.bell() * 0.35];
            });
            taperedLine(context, path, gap * cut.width * 1.5, r.next() * 9, 0.4, 0.5);
          }
        }
        t += l + r.range(1, 6) / length;
      }
    });
    context.restore();
  }

  /** Which ink a gouge shows and how wide it is, so that the mean tone of the area comes out right. */
  #cut(tone: number, printed: Level | 'accent', flat: boolean): { ink: Lch; width: number } | undefined {
    const [dark, light] = this.#thresholds;
    const [paper, middle, key] = this.#inks;
    const within = (low: number, high: number) => (tone - low) / (high - low);
    if (printed === 'accent') return within(dark, light) < 0.4 ? { ink: key, width: 0.5 } : undefined;
    if (printed === 2) {
      const width = tone > dark ? 0.55 : clamp(within(0, dark) * 0.62 - 0.12, 0, 0.7);
      return { ink: flat ? middle : paper, width };
    }
    if (printed === 1) {
      const at = within(dark, light);
      if (at > 0.6) return { ink: paper, width: clamp((at - 0.55) * 0.9, 0.12, 0.6) };
      return at < 0.42 ? { ink: key, width: clamp((0.45 - at) * 0.9, 0.12, 0.62) } : undefined;
    }
    const at = within(light, 1);
    return at < 0.35 ? { ink: tone < light ? key : middle, width: clamp((0.4 - at) * 0.8, 0.1, 0.5) } : undefined;
  }

  /** A beam of light becomes a fan of cut lines. */
  #rays(context: SKRSContext2D, n: ShapeNode): void {
    context.save();
    tracePath(context, n.path);
    context.clip();
    context.strokeStyle = cssOf(this.#inks[0], 0.9);
    context.lineWidth = 1.2;
    const [from, a, b] = n.path;
    for (let i = 0; i < 6; i++) {
      context.beginPath();
      context.moveTo(from[0], from[1]);
      context.lineTo(lerp(a[0], b[0], (i + 0.5) / 6), lerp(a[1], b[1], (i + 0.5) / 6));
      context.stroke();
    }
    context.restore();
  }

  protected override line(context: SKRSContext2D, n: LineNode): void {
    if (n.alpha < 0.35) return;
    const level = this.#level(n.colour[0]);
    context.fillStyle = cssOf(n.bright ? this.#inks[0] : this.#inks[level === 1 ? 2 : level]);
    taperedLine(context, resamplePath(n.path, 4, false), Math.max(0.9, n.width), n.id, n.taperStart, n.taperEnd);
  }

  protected override blades(context: SKRSContext2D, n: BladesNode): void {
    for (const { path, colour } of n.blades) {
      const level = colour[0] > 0.6 ? 0 : colour[0] > 0.36 ? 1 : 2;
      tracePath(context, path);
      context.strokeStyle = cssOf(this.#inks[level === 2 ? 0 : 2]);
      context.lineWidth = 1.5;
      context.stroke();
      context.fillStyle = cssOf(this.#inks[level]);
      context.fill();
    }
  }

  protected override glow(context: SKRSContext2D, n: GlowNode): void {
    if (n.stain || n.alpha < 0.5) return;
    const r = this.random;
    context.strokeStyle = cssOf(this.#inks[0], 0.95);
    context.lineWidth = 1.3;
    for (let i = 0; i < 26; i++) {
      const a = (i / 26) * Math.PI * 2 + r.bell() * 0.04;
      const inner = n.radius * 0.2 * r.range(0.9, 1.2);
      const outer = n.radius * r.range(0.3, 0.48);
      context.beginPath();
      context.moveTo(n.x + Math.cos(a) * inner, n.y + Math.sin(a) * inner);
      context.lineTo(n.x + Math.cos(a) * outer, n.y + Math.sin(a) * outer);
      context.stroke();
    }
  }

  /** Specks that the roller missed, and a rough border of paper. */
  protected override finish(context: SKRSContext2D, w: number, h: number): void {
    displacePixels(context, w, h, 0.6, 7, () => this.pause());
    const noise = new ValueNoise(4);
    const random = new Random(5);
    const paper = lchToRgb(this.#inks[0]);
    const k = Math.min(w, h) / 512;
    editPixels(context, w, h, (data, t, x, y) => {
      const missed = noise.at(x / 1.3, y / 1.3) + 0.7 * noise.at(x / 22, y / 22) + 0.25 * random.next();
      const grain = (random.next() - 0.5) * 7 + noise.at(x / 3, y / 3) * 4;
      const border =
        this.fromEdge(x, y, w, h) / k < 13 + 2.2 * noise.at(x / 17 / k, y / 17 / k) + 0.8 * noise.at(x / 3, y / 3);
      for (let c = 0; c < 3; c++) {
        if (border) data[t + c] = paper[c] - random.next() * 6;
        else data[t + c] = missed > 1.22 ? lerp(data[t + c], paper[c], 0.75) : clamp(data[t + c] + grain, 0, 255);
      }
    });
  }
}

/** Hair, cloth, walls and windows of a strong warm colour print in the accent ink. */
function isWarm({ region, colour: [L, C, h] }: ShapeNode): boolean {
  const hue = (h + 360) % 360;
  const holder =
    region === REGION.hair || region === REGION.garment || region === REGION.building || region === REGION.window;
  return holder && C > 0.085 && (hue < 52 || hue > 340) && L > 0.33;
}

/** The lightnesses below which the parts in the key ink, and in key and middle ink, of the picture lie. */
function tonalParts(root: Node, [key, middle]: readonly [number, number]): [number, number] {
  const tones: [lightness: number, weight: number][] = [];
  const visit = (n: Node): void => {
    if (n.kind === 'group') n.children.forEach(visit);
    if (n.kind !== 'shape') return;
    const weight = Math.min(areaOf(n.path), 60000) ** 0.75;
    if (weight > 40) {
      if (n.gradient) n.gradient.stops.forEach(([, c]) => tones.push([c[0], weight / 3]));
      else tones.push([n.colour[0], weight]);
    }
    n.children?.forEach(visit);
  };
  visit(root);
  tones.sort((a, b) => a[0] - b[0]);
  const total = tones.reduce((sum, [, weight]) => sum + weight, 0);
  const at = (part: number) => {
    let sum = 0;
    for (const [lightness, weight] of tones) {
      sum += weight;
      if (sum >= part * total) return lightness;
    }
    return 0.9;
  };
  return [at(key), at(key + middle)];
}

/** How this medium is drawn, and its palettes. */
export const LINOCUT: MediumKind = {
  renderer: LinocutRenderer,
  palettes: {
    blue: { paper: CREAM, middle: [0.66, 0.09, 225], key: [0.25, 0.055, 262], accent: [0.62, 0.17, 35] },
    green: { paper: CREAM, middle: [0.74, 0.05, 150], key: [0.28, 0.06, 170], accent: [0.6, 0.17, 30] },
    red: { paper: [0.95, 0.03, 80], middle: [0.62, 0.16, 32], key: [0.24, 0.04, 30] },
  },
  ofInks: (usual, [first, second]) => ({
    paper: usual.paper,
    key: second ? deep(second) : deep(mixLch(first, COLOUR_VALUES.black, 0.55)),
    middle: first,
  }),
};
