/** Requests whose pictures are kept, so that a change of structure cannot change a picture unseen. */
import { createCanvas } from '@napi-rs/canvas';
import {
  GIVES,
  MEDIA,
  pictureFromRgba,
  pictureToRgba,
  resampleToLongSide,
  type Gives,
  type Picture,
} from '@urbild/core';
import { createHash } from 'crypto';
import { BuiltInEngine, type RenderRequest, type RequestInfluence } from '@urbild/engine';
import { influence, request } from '@urbild/engine/tools';
import { foreignReferences } from '../foreign';
import { digestOf } from './digest';

/** What is kept of a picture: SHA-256 of its bytes, and the sRGB bytes of it at {@link THUMBNAIL} px, as hexadecimal digits. */
export interface Made {
  readonly hash: string;
  readonly thumbnail: string;
}

/** A render with what is told about it: shares, words, figures, faults, as a digest. */
export interface MadeAndTold extends Made {
  readonly told: string;
}

const THUMBNAIL = 6;
const SIZE = { width: 96, height: 72 };

/** Foreign pictures by name; a mask is the sign, which is of two tones. */
const pictures = new Map<string, Picture>(
  foreignReferences().map(({ picture: { name, rgba, width, height } }) => [name, pictureFromRgba(rgba, width, height)]),
);
const told = new Map(foreignReferences().map((r) => [r.picture.name, r.told]));

const of = (name: string, fields: Partial<RequestInfluence> = {}): RequestInfluence =>
  influence({ pictures: [{ content: name, weight: 1, ...told.get(name) }], ...fields });

const [HILLS, EVENING, , , BOAT, , , PLAN, SIGN, FACE, DANCER, KETTLE] = [...pictures.keys()];

/** What shows a give best. */
const SHOWS: Readonly<Partial<Record<string, string>>> = {
  layout: PLAN,
  shape: SIGN,
  pose: DANCER,
  place: EVENING,
  thing: KETTLE,
  character: FACE,
  face: FACE,
  outfit: FACE,
};

const MASK = { content: SIGN, invert: false, feather: 0.02 };
const EXTREMES: readonly (readonly [string, Partial<RenderRequest>])[] = [
  ['balance 0', { balance: 0 }],
  ['balance 2', { balance: 2 }],
  ['spread 0', { spread: 0 }],
  ['strictness 0', { strictness: 0 }],
  ['strictness 1', { strictness: 1 }],
  ['ornateness 0', { ornateness: 0 }],
  ['ornateness 1', { ornateness: 1 }],
  ['a word counts half', { emphases: [{ words: 'harbour', weight: 0.5 }] }],
  ['a word counts twice', { emphases: [{ words: 'Ilse', weight: 2 }] }],
  ['a name of the studio', { prompt: 'portrait of Runa', names: [{ name: 'Runa', description: 'an old woman' }] }],
  ['words to avoid', { avoid: 'boats' }],
];

const whole: readonly (readonly [string, Partial<RenderRequest>])[] = [
  ...GIVES.map((gives) => [`gives ${gives}`, { influences: [of(SHOWS[gives] ?? HILLS, { gives })] }] as const),
  ...MEDIA.map((medium) => [`medium ${medium}`, { medium }] as const),
  ...EXTREMES.map(([name, fields]) => [name, { influences: [of(BOAT)], ...fields }] as const),
  ['several influences', { influences: [of(HILLS), of(BOAT, { id: 'b', weight: 0.6, to: 0.5 })] }],
  ['beyond 2', { influences: [of(HILLS, { weight: 4, gives: 'everything' })] }],
  ['a hint', { influences: [of(HILLS, { reading: 'hint' })] }],
  ['close', { influences: [of(HILLS, { reading: 'close', motif: 1.5 })] }],
  ['a region', { influences: [of(EVENING, { region: MASK })] }],
  ['a start picture', { start: { content: EVENING, change: 0.5 }, influences: [of(BOAT)] }],
  ['a mask', { start: { content: EVENING, change: 0.8 }, mask: { ...MASK, invert: true } }],
  [
    'a frame',
    {
      frame: {
        at: 0.75,
        camera: { from: { x: 0.5, y: 0.5, size: 1 }, to: { x: 0.4, y: 0.6, size: 0.5 } },
        across: 0.4,
      },
      hold: { content: EVENING, at: 0.5 },
    },
  ],
];

/** A held frame whose camera goes to each side and near, so that every side of what was held comes into the picture. */
const MOVES: typeof whole = [
  [0.3, 0.5, 0.6],
  [0.7, 0.5, 0.6],
  [0.5, 0.3, 0.6],
  [0.5, 0.7, 0.6],
  [0.5, 0.5, 0.4],
].map(([x, y, size]) => [
  `a frame towards ${x}, ${y} at ${size}`,
  {
    influences: [of(BOAT)],
    frame: { at: 0.8, camera: { from: { x: 0.5, y: 0.5, size: 0.7 }, to: { x, y, size } } },
    hold: { content: EVENING, at: 0.2 },
  },
]);

/** Gives that take something of the forms of a picture: each with every picture, for what one shows another hides. */
const EVERY: readonly Gives[] = ['look', 'layout', 'everything', 'place', 'thing'];
const each: typeof whole = EVERY.flatMap((gives) =>
  [...pictures.keys()].map((name) => [`${gives} of ${name}`, { influences: [of(name, { gives })] }] as const),
);

/** The requests: one for each give, medium, extreme of a setting, kind of region, start and frame; then many pictures. */
export const FROZEN: readonly { readonly name: string; readonly request: RenderRequest }[] = [
  ...whole,
  ...MOVES,
  ...each,
].map(([name, fields]) => ({ name, request: request({ ...SIZE, ...fields }) }));

const engine = new BuiltInEngine();
const digest = (bytes: Uint8Array | Uint8ClampedArray) => createHash('sha256').update(bytes).digest('hex');

/** Renders one of {@link FROZEN}. */
export async function madeOf(asked: RenderRequest): Promise<MadeAndTold> {
  const {
    rgba,
    width,
    height,
    labels,
    timings: _,
    ...about
  } = await engine.render(asked, (name) => Promise.resolve(pictures.get(name)!));
  const small = resampleToLongSide(pictureFromRgba(rgba, width, height), THUMBNAIL);
  const told = digestOf({ ...about, labels: digest(labels) });
  return { hash: digest(rgba), thumbnail: Buffer.from(pictureToRgba(small)).toString('hex'), told };
}

/** How the canvas of this machine rounds: equal prints, equal bytes. */
export function canvasPrint(): string {
  const canvas = createCanvas(64, 64);
  const context = canvas.getContext('2d');
  const sweep = context.createLinearGradient(3, 5, 60, 50);
  sweep.addColorStop(0, '#31597a');
  sweep.addColorStop(1, 'rgba(240, 180, 40, .4)');
  context.fillStyle = sweep;
  context.filter = 'blur(1.7px)';
  context.bezierCurveTo(3.3, 8.1, 50.2, 1.7, 61.4, 57.9);
  context.fill();
  context.lineWidth = 2.3;
  context.strokeStyle = 'rgba(20, 10, 90, .7)';
  context.stroke();
  return digest(context.getImageData(0, 0, 64, 64).data);
}
