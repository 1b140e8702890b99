import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import sharp from 'sharp';
import { gives } from './gives';

let dir: string;
beforeAll(async () => {
  dir = await mkdtemp(path.join(os.tmpdir(), 'urbild-gives-'));
});
afterAll(() => rm(dir, { recursive: true, force: true }));

/** A drawing of 320 x 240 px, as a file. */
async function drawn(name: string, inside: string): Promise<string> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="320" height="240"><rect width="320" height="240" fill="#fff"/>${inside}</svg>`;
  const at = path.join(dir, `${name}.png`);
  await writeFile(at, await sharp(Buffer.from(svg)).png().toBuffer());
  return at;
}
const greyAt = async (png: Uint8Array, x: number, y: number) => {
  const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
  const [px, py] = [Math.floor((x * info.width) / 320), Math.floor((y * info.height) / 240)];
  return data[py * info.width + px];
};

const HOUSE =
  '<path d="M60 200 V110 L120 60 L180 110 V200 Z M20 200 H300" fill="none" stroke="#111" stroke-width="3"/>';

test('thin dark lines on white are a line drawing, and stay the lines that they are', async () => {
  const { isLineDrawing, isShape, lines } = await gives({ picture: await drawn('lines', HOUSE) });
  expect([isLineDrawing, isShape]).toEqual([true, false]);
  expect(await greyAt(lines, 160, 200)).toBeLessThan(60);
  expect(await greyAt(lines, 250, 60)).toBeGreaterThan(240);
});

test.each([
  ['a drawing on yellow paper', `<rect width="320" height="240" fill="#ffe04a"/>${HOUSE}`],
  ['a dark area', '<rect x="60" y="60" width="120" height="120" fill="#111"/>'],
  ['an empty sheet', ''],
  ['grey all over', '<rect width="320" height="240" fill="#888"/>'],
])('%s is no line drawing', async (name, inside) => {
  expect((await gives({ picture: await drawn(name, inside) })).isLineDrawing).toBe(false);
});

test('two tones and nothing between are a shape, dark where the picture is dark', async () => {
  const { isShape, shape } = await gives({
    picture: await drawn('shape', '<circle cx="160" cy="120" r="80" fill="#111"/>'),
  });
  expect(isShape).toBe(true);
  expect([await greyAt(shape, 160, 120), await greyAt(shape, 20, 20)]).toEqual([0, 255]);
});

test.each([
  ['half tones', '<rect width="320" height="140" fill="#888"/><circle cx="160" cy="180" r="40" fill="#111"/>'],
  ['a speck', '<circle cx="160" cy="120" r="6" fill="#111"/>'],
  ['darkness', '<rect width="320" height="225" fill="#111"/>'],
])('%s are no shape', async (name, inside) => {
  expect((await gives({ picture: await drawn(name, inside) })).isShape).toBe(false);
});

test('lines are found in a painted picture where its colours meet, and near is lighter than far', async () => {
  const sky = '<rect width="320" height="120" fill="#9cc4e8"/><rect y="120" width="320" height="120" fill="#4a7a3a"/>';
  const { lines, depth, isLineDrawing } = await gives({ picture: await drawn('land', sky) });
  expect(isLineDrawing).toBe(false);
  const dark = Math.min(...(await Promise.all([118, 119, 120, 121, 122].map((y) => greyAt(lines, 160, y)))));
  expect(dark).toBeLessThan(await greyAt(lines, 160, 40));
  expect(await greyAt(depth, 160, 225)).toBeGreaterThan((await greyAt(depth, 160, 40)) + 60);
});

/** A harbour in flat colours with hills, clouds, a boat and a figure: a bit of everything that is told. */
const HARBOUR = `<rect width="320" height="240" fill="#cfe3ee"/>
  <path d="M0 118 Q60 70 130 112 T320 96 V130 H0 Z" fill="#7f9a6b"/>
  <ellipse cx="70" cy="40" rx="46" ry="12" fill="#f6f7f4"/>
  <rect y="128" width="320" height="70" fill="#4f7f9c"/>
  <rect y="196" width="320" height="44" fill="#c9ab7a"/>
  <path d="M150 150 H230 L214 172 H166 Z" fill="#7a3b2a"/><path d="M188 148 V84 L226 140 Z" fill="#f3ead8"/>
  <circle cx="60" cy="176" r="9" fill="#d9a885"/><path d="M46 226 L52 188 H70 L78 226 Z" fill="#b5482f"/>
  <g fill="none" stroke="#23343d" stroke-width="2"><path d="M10 140 Q30 136 50 140 T90 140"/><path d="M240 150 H310"/></g>`;

/** Means of 8 x 6 fields, as letters from a (0) to z (255): what an eye would miss least. */
async function fieldsOf(png: Uint8Array): Promise<string> {
  const data = await sharp(png).greyscale().resize(8, 6, { fit: 'fill', kernel: 'cubic' }).raw().toBuffer();
  return Array.from(data.subarray(0, 48), (v) => String.fromCharCode(97 + Math.round(v / 10.2))).join('');
}

test('the pictures that stand for what a harbour gives are those that they were', async () => {
  const told = await gives({ picture: await drawn('harbour', HARBOUR) });
  expect({
    lines: await fieldsOf(told.lines),
    depth: await fieldsOf(told.depth),
    shape: await fieldsOf(told.shape),
    horizon: told.horizon,
    flat: Number(told.flat.toFixed(3)),
    plan: told.planColours.map(({ part, ...about }) => ({ ...about, part: Number(part.toFixed(3)) })),
    seen: told.seen.map(({ kind }) => kind),
  }).toMatchInlineSnapshot(`
   {
     "depth": "bccbaaaacdcbaaaaeeedccdehiggiiiilnllnnmmqsqppppp",
     "flat": 0.968,
     "horizon": {
       "at": 0.5333333333333333,
       "confidence": 0.9,
     },
     "lines": "zzzzzzzzzyzzzzzzxxxyzzyxxxyxwvwyywyywxyyzwyzzzzz",
     "plan": [
       {
         "colour": "#d2e4ed",
         "is": "sky",
         "part": 0.463,
       },
       {
         "colour": "#507f9c",
         "is": "water",
         "part": 0.22,
       },
       {
         "colour": "#c5a97b",
         "is": "ground",
         "part": 0.181,
       },
       {
         "colour": "#7c9973",
         "is": "trees",
         "part": 0.071,
       },
       {
         "colour": "#793d2d",
         "is": "somebody",
         "part": 0.017,
       },
       {
         "colour": "#b64f35",
         "is": "somebody",
         "part": 0.011,
       },
     ],
     "seen": [
       "sky",
       "water",
       "ground",
       "plants",
       "sky",
       "building",
       "plants",
       "sky",
       "person",
       "person",
       "thing",
     ],
     "shape": "zzzzzzzzzzzzzzzzzyzzzzzzgggfjkffdeddddddxpxyyyyy",
   }
  `);
});
