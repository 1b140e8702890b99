/** npm run bench:answers [-- --side 192 --gives look,palette --pictures DIR]: how every give answers to its weight */
import {
  CHANNELS,
  createPicture,
  describe,
  GIVES,
  lchToLab,
  measureArrival,
  pictureFromRgba,
  Random,
  resample,
  type Arrival,
  type Descriptors,
  type Gives,
  type Picture,
  type TraitSheet,
} from '@urbild/core';
import {
  arrangementArrival,
  BuiltInEngine,
  figureDistances,
  readPicture,
  readRequest,
  type RenderResult,
} from '@urbild/engine';
import path from 'path';
import { parseArgs } from 'util';
import { foreignReferences, type ForeignReference } from '@urbild/engine-tools';
import { subjectAlpha, subjectOf } from '@urbild/engine/tools';
import { ownPictures } from './ownPictures';

const PROMPTS = [
  'Ilse walking in the harbour at noon',
  'half figure of a man in the forest, autumn',
  'Tove on the beach at dusk',
];
/** Where people are near enough to be told apart. */
const PEOPLE_PROMPTS = [
  'half figure of a woman in the harbour at noon',
  'half figure of a man in the forest, autumn',
  'portrait of a girl on the beach in the morning',
];
/** Gives that are about somebody: of no foreign reference can it be read, so a sheet is told as a person would set it by hand. */
const ABOUT_SOMEBODY: readonly Gives[] = ['character', 'face', 'outfit'];
/** A face must be this large in px to be told from another, as a side of the picture. */
const PEOPLE_SIDE = 320;
const WEIGHTS = [0, 0.25, 0.5, 0.75, 1, 1.25, 1.5, 1.75, 2];
/** Arrivals nearer than this are one: a picture that stays as it is must not count as falling. */
const EQUAL = 0.006;

/** Spearman's rank correlation; ties share their mean rank. */
export function spearman(x: readonly number[], y: readonly number[]): number {
  const ranks = (v: readonly number[]) =>
    v.map((a) => {
      const less = v.filter((b) => b < a).length;
      const same = v.filter((b) => b === a).length;
      return less + (same + 1) / 2;
    });
  const [a, b] = [ranks(x), ranks(y)];
  const mean = (a.length + 1) / 2;
  const sum = (f: (i: number) => number) => a.reduce((s, _, i) => s + f(i), 0);
  const spread = Math.sqrt(sum((i) => (a[i] - mean) ** 2) * sum((i) => (b[i] - mean) ** 2));
  return spread ? sum((i) => (a[i] - mean) * (b[i] - mean)) / spread : 0;
}

interface Curve {
  readonly gives: Gives;
  readonly reference: string;
  readonly arrivals: readonly number[];
  readonly rank: number;
  readonly channels: readonly Arrival['channels'][];
}

/** A sheet that a person might have set by hand, another for every reference. */
function sheetByHand(nth: number): TraitSheet {
  const r = new Random(40 + nth);
  const colour = (L: [number, number], C: [number, number], h: [number, number]) => ({
    colour: lchToLab([r.range(...L), r.range(...C), r.range(...h)]),
    confidence: 1,
  });
  return {
    skin: colour([0.42, 0.82], [0.05, 0.08], [45, 70]),
    hair: colour([0.2, 0.8], [0.02, 0.12], [30, 95]),
    upper: colour([0.3, 0.8], [0.06, 0.15], [0, 360]),
    lower: colour([0.25, 0.6], [0.02, 0.1], [0, 360]),
    'hair style': { choice: r.pick(['curly', 'short', 'long', 'two plaits', 'tied']), confidence: 1 },
    glasses: { choice: r.pick(['yes', 'no']), confidence: 1 },
    'face width': { number: r.range(0.95, 1.07), confidence: 1 },
    jaw: { number: r.range(0.1, 0.8), confidence: 1 },
  };
}

/** What a curve is asked of. */
interface Asked {
  readonly gives: Gives;
  readonly reference: ForeignReference;
  readonly pixels: Picture;
  readonly target: Descriptors;
  readonly prompt: string;
  readonly side: number;
  readonly traits?: TraitSheet;
}

async function curve(
  engine: BuiltInEngine,
  { gives, reference: { picture, told }, pixels, target, prompt, side, traits }: Asked,
): Promise<Curve | undefined> {
  const [width, height] = [side, Math.round((side * 3) / 4)];
  const request = (weight: number) =>
    readRequest({
      prompt,
      width,
      height,
      seed: 7,
      influences: [{ gives, weight, ...(traits ? { traits } : {}), pictures: [{ content: picture.name, ...told }] }],
    });
  // a silhouette is fitted, not stretched: it arrives where it is fitted to
  const wanted = gives === 'shape' ? describe(fitted(pixels, width, height)) : target;
  let control: RenderResult | undefined;
  let controlled: Descriptors | undefined;
  const arrivals: number[] = [];
  const channels: Arrival['channels'][] = [];
  for (const weight of WEIGHTS) {
    const result = await engine.render(request(weight), () => Promise.resolve(pixels));
    const described = describe(pictureFromRgba(result.rgba, width, height));
    control ??= result;
    controlled ??= described;
    if (weight > 0 && result.remarks.some((r) => r.kind === 'nothing-to-give' || r.kind === 'nobody-to-take'))
      return undefined;
    const sheet = traits ?? Object.values(result.sheets)[0];
    const others = figureDistances({
      ...{ influence: request(weight).influences[0], take: result.figures, control: control.figures, sheet },
      aspect: { picture: width / height, reference: picture.width / picture.height },
    });
    const taken = pictureFromRgba(result.rgba, width, height);
    const arranged =
      gives === 'layout' && !told.layout
        ? arrangementArrival(readPicture(pixels), taken, pictureFromRgba(control.rgba, width, height))
        : undefined;
    const arrival: Arrival =
      gives === 'thing'
        ? { overall: presence(result, control) / covered(pixels, told), channels: {} }
        : measureArrival({
            gives,
            take: described,
            control: controlled,
            reference: wanted,
            others: { ...others, ...(arranged === undefined ? {} : { layout: { value: arranged } }) },
          });
    if (arrival.overall === undefined) return undefined;
    channels.push(arrival.channels);
    const before = arrivals[arrivals.length - 1];
    arrivals.push(before !== undefined && Math.abs(arrival.overall - before) < EQUAL ? before : arrival.overall);
  }
  return { gives, reference: picture.name, arrivals, rank: spearman(WEIGHTS, arrivals), channels };
}

/** A picture laid on white of another format, as large as it goes. */
function fitted(picture: Picture, w: number, h: number): Picture {
  const k = Math.min(w / picture.width, h / picture.height);
  const small = resample(picture, Math.round(picture.width * k), Math.round(picture.height * k));
  const out = createPicture(w, h);
  out.planes[0].fill(1);
  const [dx, dy] = [(w - small.width) >> 1, (h - small.height) >> 1];
  out.planes.forEach((plane, c) => {
    for (let y = 0; y < small.height; y++)
      for (let x = 0; x < small.width; x++) plane[(y + dy) * w + x + dx] = small.planes[c][y * small.width + x];
  });
  return out;
}

/** The part of a reference that its thing covers: a thin one changes little of a picture even where it is there whole. */
function covered(pixels: Picture, told: ForeignReference['told']): number {
  const found = subjectOf(pixels, { content: '', weight: 1, ...told });
  if (!found) return 1;
  const alpha = subjectAlpha(pixels, found.box);
  return Math.max(0.01, alpha.reduce((s, v) => s + v, 0) / alpha.length);
}

/** The part of the picture that is not as it was without: a thing has come in. */
function presence(take: RenderResult, control: RenderResult): number {
  let changed = 0;
  for (let i = 0; i < take.rgba.length; i += 4) {
    const d =
      Math.abs(take.rgba[i] - control.rgba[i]) +
      Math.abs(take.rgba[i + 1] - control.rgba[i + 1]) +
      Math.abs(take.rgba[i + 2] - control.rgba[i + 2]);
    changed += Math.min(1, d / 120);
  }
  return changed / (take.width * take.height);
}

/** A folder as it was named where the command was given. */
const fromHere = (folder: string) => path.resolve(process.env.INIT_CWD ?? process.cwd(), folder);

async function main(): Promise<void> {
  const { values } = parseArgs({
    options: {
      side: { type: 'string', default: '192' },
      gives: { type: 'string' },
      channels: { type: 'boolean', default: false },
      references: { type: 'string' },
      prompts: { type: 'string', default: '3' },
      pictures: { type: 'string' },
    },
  });
  const engine = new BuiltInEngine();
  const wanted = values.gives?.split(',') ?? GIVES;
  const curves: Curve[] = [];
  const all = values.pictures ? await ownPictures(fromHere(values.pictures)) : foreignReferences();
  const references = all.filter((r) => !values.references || values.references.split(',').includes(r.picture.name));
  for (const gives of GIVES.filter((g) => wanted.includes(g))) {
    const of: Curve[] = [];
    const about = ABOUT_SOMEBODY.includes(gives);
    const side = about ? Math.max(PEOPLE_SIDE, Number(values.side)) : Number(values.side);
    for (const [nth, reference] of references.entries()) {
      const { rgba, width, height } = reference.picture;
      const pixels = pictureFromRgba(rgba, width, height);
      const target = describe(pixels);
      for (const prompt of (about ? PEOPLE_PROMPTS : PROMPTS).slice(0, Number(values.prompts))) {
        const traits = about ? sheetByHand(nth) : undefined;
        const found = await curve(engine, { gives, reference, pixels, target, prompt, side, traits });
        if (found) of.push(found);
      }
    }
    curves.push(...of);
    const good = of.filter((c) => c.rank >= 0.9);
    console.log(`${gives.padEnd(11)} ${good.length}/${of.length} curves with a rank correlation of .9 or more`);
    for (const c of of.filter((one) => one.rank < 0.9)) {
      console.log(
        `    ${c.reference.padEnd(22)} ${c.rank.toFixed(2)}  ${c.arrivals.map((a) => a.toFixed(2)).join(' ')}`,
      );
      if (!values.channels) continue;
      for (const channel of CHANNELS)
        if (c.channels[1][channel] !== undefined)
          console.log(`        ${channel.padEnd(24)} ${c.channels.map((a) => (a[channel] ?? 0).toFixed(2)).join(' ')}`);
    }
  }
  const good = curves.filter((c) => c.rank >= 0.9).length;
  console.log(
    `all         ${good}/${curves.length} = ${((100 * good) / Math.max(1, curves.length)).toFixed(0)} % (wanted: 90 %)`,
  );
}

if (require.main === module) void main();
