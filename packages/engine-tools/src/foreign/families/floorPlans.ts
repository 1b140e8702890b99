import { chanceOf, css, hsl, onCanvas, type ForeignFamily } from './family';

const W = 400;
const H = 320;

interface Room {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** Plans of a floor: walls, doors and rooms of a colour each. */
export const floorPlans: ForeignFamily = {
  name: 'floor plans',
  technique: 'a rectangle that is divided again and again, with walls, doors and a key',
  heldOut: false,
  make({ who: n, seed }) {
    const m = chanceOf(this.name, 'who', n);
    const tints = Array.from({ length: 4 }, () => hsl(m.range(0, 360), m.range(0.1, 0.45), m.range(0.75, 0.92)));
    const wall = hsl(m.range(190, 260), 0.25, m.range(0.1, 0.4));
    const thick = m.range(2.5, 7);
    const grid = m.chance(0.5);
    const r = chanceOf(this.name, 'plan', seed);
    const rooms: Room[] = [];
    const divide = (room: Room, depth: number) => {
      if (depth === 0 || Math.min(room.w, room.h) < 60) return void rooms.push(room);
      const t = r.range(0.35, 0.65);
      const across = room.w > room.h;
      divide(across ? { ...room, w: room.w * t } : { ...room, h: room.h * t }, depth - 1);
      divide(
        across
          ? { ...room, x: room.x + room.w * t, w: room.w * (1 - t) }
          : { ...room, y: room.y + room.h * t, h: room.h * (1 - t) },
        depth - 1,
      );
    };
    divide({ x: 30, y: 24, w: W - 60, h: H - 80 }, r.integer(2, 4));
    const rgba = onCanvas(W, H, (g) => {
      g.fillStyle = '#fcfcfa';
      g.fillRect(0, 0, W, H);
      g.strokeStyle = 'rgba(120, 140, 160, 0.25)';
      for (let k = 0; grid && k < W; k += 16) {
        g.beginPath();
        g.moveTo(k, 0);
        g.lineTo(k, H);
        g.moveTo(0, k);
        g.lineTo(W, k);
        g.stroke();
      }
      rooms.forEach(({ x, y, w, h }, k) => {
        g.fillStyle = css(tints[k % tints.length]);
        g.fillRect(x, y, w, h);
        g.strokeStyle = css(wall);
        g.lineWidth = thick;
        g.strokeRect(x, y, w, h);
        const [dx, dy] = [x + w * 0.5, y + h];
        g.strokeStyle = css(tints[k % tints.length]);
        g.lineWidth = thick + 2;
        g.beginPath();
        g.moveTo(dx - 11, dy);
        g.lineTo(dx + 11, dy);
        g.stroke();
        g.strokeStyle = css(wall);
        g.lineWidth = 1;
        g.beginPath();
        g.arc(dx - 11, dy, 22, -Math.PI / 2, 0);
        g.stroke();
        if (r.chance(0.6)) g.strokeRect(x + 10, y + 10, Math.min(34, w - 24), Math.min(22, h - 24));
      });
      for (let k = 0; k < 4; k++) {
        g.fillStyle = css(tints[k]);
        g.fillRect(30 + k * 90, H - 36, 18, 14);
        g.strokeRect(30 + k * 90, H - 36, 18, 14);
        g.fillStyle = css(wall, 0.6);
        for (let line = 0; line < 2; line++) g.fillRect(54 + k * 90, H - 34 + line * 7, r.range(18, 44), 2);
      }
    });
    return {
      name: `${this.name} ${n}.${seed}`,
      width: W,
      height: H,
      rgba,
      truth: { kind: 'plan', people: 0, ground: 'plain' },
    };
  },
};
