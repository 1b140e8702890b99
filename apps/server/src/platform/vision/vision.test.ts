/** The models themselves: what they see of a portrait in hatching, and what they do not see where nobody is. */
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { VisionService } from './vision.service';
import type { SeenFace } from './vision.worker';

let dir: string;
let vision: VisionService;
beforeAll(async () => {
  dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-vision-'));
  vision = new VisionService({ port: 0, host: '127.0.0.1', dataDir: dir, demo: false, renderThreads: 1, quiet: true });
});
afterAll(async () => {
  vision.onModuleDestroy();
  await rm(dir, { recursive: true, force: true });
});

/** Lines in one direction, every so many px, within an outline. */
const hatched = (id: string, outline: string, turn: number, every: number): string => `
  <clipPath id="${id}"><path d="${outline}"/></clipPath>
  <g clip-path="url(#${id})" stroke="#333" stroke-width="1.6">
    ${Array.from({ length: 260 }, (_, k) => `<path d="M -600 ${k * every - 600} H 1200" transform="rotate(${turn} 300 400)"/>`).join('')}
  </g>`;

/** A portrait in pen: hair and the shaded half of the face in hatching. */
const PORTRAIT = `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="760"><rect width="600" height="760" fill="#f4f1e4"/>
  ${hatched('hair', 'M 165 330 Q 150 110 300 100 Q 450 110 435 330 Q 420 230 300 215 Q 180 230 165 330 Z', 38, 7)}
  ${hatched('shade', 'M 170 330 Q 175 520 300 590 L 300 240 Q 190 240 170 330 Z', -40, 9)}
  ${hatched('coat', 'M 60 760 Q 90 650 240 620 L 300 660 L 360 620 Q 510 650 540 760 Z', 20, 8)}
  <g fill="none" stroke="#222" stroke-width="4"><path d="M 168 320 Q 165 500 300 592 Q 435 500 432 320"/>
    <path d="M 205 318 Q 238 298 270 318"/><path d="M 330 318 Q 362 298 395 318"/>
    <path d="M 208 352 Q 238 332 268 352 Q 238 366 208 352"/><path d="M 332 352 Q 362 332 392 352 Q 362 366 332 352"/>
    <path d="M 302 350 L 286 436 L 312 440"/><path d="M 252 494 Q 300 484 348 494"/><path d="M 262 500 Q 300 518 338 500"/></g>
  <circle cx="238" cy="350" r="9" fill="#222"/><circle cx="362" cy="350" r="9" fill="#222"/></svg>`;

/** A landscape of flat shapes. */
const HILLS = `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="400"><rect width="600" height="400" fill="#9cc4dd"/>
  <circle cx="470" cy="90" r="40" fill="#f4dd90"/><path d="M 0 260 Q 150 160 300 250 T 600 230 V 400 H 0 Z" fill="#6f9a66"/></svg>`;

/** Somebody who stands there, of flat shapes. */
const STANDING = `<svg xmlns="http://www.w3.org/2000/svg" width="500" height="800"><rect width="500" height="800" fill="#e8e4da"/>
  <g fill="none" stroke-linecap="round"><path d="M 215 470 L 205 720 M 285 470 L 295 720" stroke="#3c4a66" stroke-width="46"/>
    <path d="M 190 250 L 140 360 L 150 460 M 310 250 L 360 360 L 350 460" stroke="#a23f35" stroke-width="34"/></g>
  <path d="M 180 235 Q 250 205 320 235 L 310 490 H 190 Z" fill="#a23f35"/><rect x="228" y="170" width="44" height="60" fill="#d9a987"/>
  <circle cx="150" cy="470" r="18" fill="#d9a987"/><circle cx="350" cy="470" r="18" fill="#d9a987"/>
  <ellipse cx="250" cy="130" rx="52" ry="64" fill="#d9a987"/><path d="M 196 130 Q 190 55 250 55 Q 310 55 304 130 Q 290 90 250 88 Q 210 90 196 130" fill="#3b2a22"/>
  <circle cx="230" cy="128" r="6" fill="#222"/><circle cx="270" cy="128" r="6" fill="#222"/><path d="M 232 164 Q 250 174 268 164" stroke="#8c3b34" stroke-width="5" fill="none"/></svg>`;

async function look(svg: string, name: string) {
  const file = path.join(dir, `${name}.png`);
  await sharp(Buffer.from(svg)).png().toFile(file);
  return vision.look(file);
}
const middle = ({ box: [x, y, w, h] }: SeenFace) => [x + w / 2, y + h / 2];

test('a face in hatching is found where it is, with its mesh and who is figure around it', async () => {
  const { faces } = await look(PORTRAIT, 'portrait');
  expect(faces).toHaveLength(1);
  const [x, y] = middle(faces[0]);
  expect(Math.abs(x - 0.5)).toBeLessThan(0.08);
  expect(Math.abs(y - 0.5)).toBeLessThan(0.12);
  expect(faces[0].mesh.length).toBeGreaterThanOrEqual(468);
  expect(faces[0].part!.alpha).toHaveLength(faces[0].part!.side ** 2);
}, 60_000);

test('where nobody is nobody is seen, however soft it is made', async () => {
  expect((await look(HILLS, 'hills')).faces).toEqual([]);
}, 60_000);

test('after a look that had to be softened bodies are looked for as before', async () => {
  const before = (await look(STANDING, 'once')).joints.length;
  expect(before).toBeGreaterThan(4);
  await look(HILLS, 'between');
  expect((await look(STANDING, 'again')).joints).toHaveLength(before);
}, 60_000);
