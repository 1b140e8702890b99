import { chanceOf, css, hsl, onCanvas, between, type ForeignFamily } from './family';

const W = 300;
const H = 400;
type P = readonly [number, number];

/** Jointed figures of rounded pieces on grey, in poses; their joints are known. */
export const mannequins: ForeignFamily = {
  name: 'mannequins',
  technique: 'rounded pieces with a gradient across each, from random joint angles',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const wood = hsl(m.range(18, 44), m.range(0.1, 0.55), m.range(0.45, 0.75));
    const build = { limb: m.range(0.8, 1.25), trunk: m.range(0.9, 1.15), thick: m.range(0.8, 1.3) };
    const r = chanceOf(this.name, 'pose', seed);
    const grey = hsl(r.range(0, 360), 0.05, r.range(0.6, 0.9));
    const step = ([x, y]: P, angle: number, length: number): P => [
      x + Math.sin(angle) * length,
      y + Math.cos(angle) * length,
    ];
    const lean = r.range(-0.35, 0.35);
    const pelvis: P = [W / 2 + r.range(-20, 20), 215 + r.range(-10, 20)];
    const chest = step(pelvis, Math.PI + lean, 74 * build.trunk);
    const head = step(chest, Math.PI + lean * 1.4, 46);
    const across = (from: P, side: number, half: number): P => [
      from[0] + side * half * Math.cos(lean),
      from[1] - side * half * Math.sin(lean),
    ];
    const arm = (side: number) => {
      const shoulder = across(chest, side, 30);
      const a = side * r.range(0.1, 2.8);
      const elbow = step(shoulder, a, 50 * build.limb);
      return { shoulder, elbow, wrist: step(elbow, a + side * r.range(-0.2, 1.9), 46 * build.limb) };
    };
    const leg = (side: number) => {
      const hip = across(pelvis, side, 16);
      const a = side * r.range(-0.2, 0.9);
      const knee = step(hip, a, 66 * build.limb);
      return { hip, knee, ankle: step(knee, a - side * r.range(-0.1, 1.1), 64 * build.limb) };
    };
    const [la, ra, ll, rl] = [arm(1), arm(-1), leg(1), leg(-1)];
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = css(grey);
      g.fillRect(0, 0, W, H);
      const piece = (a: P, b: P, wide: number) => {
        const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
        g.save();
        g.translate(a[0], a[1]);
        g.rotate(Math.atan2(b[1] - a[1], b[0] - a[0]));
        const shade = g.createLinearGradient(0, -wide, 0, wide);
        shade.addColorStop(0, css(between(wood, [255, 255, 255], 0.35)));
        shade.addColorStop(0.5, css(wood));
        shade.addColorStop(1, css(between(wood, [0, 0, 0], 0.55)));
        g.fillStyle = shade;
        g.beginPath();
        g.ellipse(length / 2, 0, length / 2 + wide * 0.4, wide, 0, 0, 7);
        g.fill();
        g.restore();
      };
      const t = build.thick;
      for (const l of [ll, rl]) {
        piece(l.hip, l.knee, 15 * t);
        piece(l.knee, l.ankle, 11 * t);
        piece(l.ankle, [l.ankle[0] + 16, l.ankle[1] + 4], 7);
      }
      piece(pelvis, chest, 30 * t);
      for (const a of [la, ra]) {
        piece(a.shoulder, a.elbow, 10 * t);
        piece(a.elbow, a.wrist, 8 * t);
        piece(a.wrist, step(a.wrist, 0, 12), 6);
      }
      piece(chest, head, 8);
      piece([head[0], head[1] + 10], [head[0], head[1] - 34], 18);
    });
    const part = ([x, y]: P): P => [x / W, y / H];
    const joints = {
      ...{
        leftShoulder: la.shoulder,
        leftElbow: la.elbow,
        leftWrist: la.wrist,
        rightShoulder: ra.shoulder,
        rightElbow: ra.elbow,
      },
      ...{
        rightWrist: ra.wrist,
        leftHip: ll.hip,
        leftKnee: ll.knee,
        leftAnkle: ll.ankle,
        rightHip: rl.hip,
        rightKnee: rl.knee,
        rightAnkle: rl.ankle,
      },
    };
    return {
      ...{ name: `${this.name} ${n}.${seed}`, width: W, height: H, rgba },
      truth: {
        kind: 'pose',
        people: 1,
        ground: 'plain',
        joints: Object.fromEntries(Object.entries(joints).map(([k, p]) => [k, part(p)])),
      },
    };
  },
};
