/** npm run bench:hold [-- --weight 1 --keep DIR --looks 0,3 --stages 1]: does the subject hold under twelve foreign looks over eight stages */
import { pictureFromRgba, pictureToRgba, type Picture } from '@urbild/core';
import { BuiltInEngine, readRequest } from '@urbild/engine';
import { FAMILIES, foreignLooks } from '@urbild/engine-tools';
import { leastHold, paintScene, planSynthesis, subjectHold } from '@urbild/engine/tools';
import { mkdir } from 'fs/promises';
import path from 'path';
import sharp from 'sharp';
import { parseArgs } from 'util';

const [WIDTH, HEIGHT, SEED] = [512, 384, 7];
/** Of what the control shows, so much must be held. */
const LEAST = 0.7;
const STAGES = [
  'Ilse in a yellow coat walks on the pier in the morning',
  'portrait of Tove in the harbour at noon',
  'half figure of Marek with a red cup, dusk in the village street',
  'Juna and a dog on the market quay',
  'a fox in the forest in autumn',
  'a heron in the marsh at dusk',
  'an old man sits in the kitchen',
  'half figure of a woman with a lantern, the stilt village at night',
];
const FROM_FAMILIES = ['wet washes', 'engravings', 'dabs', 'torn paper', 'stipples', 'mosaics'];

const LOOKS = [
  ...foreignLooks(),
  ...FROM_FAMILIES.map((name) => ({
    ...FAMILIES.find((f) => f.name === name)!.make({ who: 1, seed: 5 }),
    name,
  })),
];

const { values } = parseArgs({
  options: {
    weight: { type: 'string', default: '1' },
    keep: { type: 'string' },
    looks: { type: 'string' },
    stages: { type: 'string' },
  },
});
const chosen = <T>(all: readonly T[], which?: string): { one: T; k: number }[] =>
  all.map((one, k) => ({ one, k })).filter(({ k }) => !which || which.split(',').includes(String(k)));

const png = ({ rgba, width, height }: { rgba: Uint8ClampedArray; width: number; height: number }) =>
  sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } });

async function main(): Promise<void> {
  const engine = new BuiltInEngine();
  const [looks, stages] = [chosen(LOOKS, values.looks), chosen(STAGES, values.stages)];
  const tiles: { input: Buffer; left: number; top: number }[] = [];
  const tile = async (raster: Parameters<typeof png>[0], column: number, row: number) => {
    if (!values.keep) return;
    const input = await png(raster).resize(320, 240, { fit: 'contain' }).png().toBuffer();
    tiles.push({ input, left: column * 320, top: row * 240 });
  };
  for (const [column, { one }] of looks.entries()) await tile(one, column + 1, 0);
  const all: number[] = [];
  for (const [row, { one: prompt }] of stages.entries()) {
    const scene = { prompt, width: WIDTH, height: HEIGHT, seed: SEED };
    const { stage } = paintScene(readRequest(scene), planSynthesis([], 1), [], () => {});
    const [seen, labels, control] = [stage.seen, stage.labels(), stage.painted()];
    await tile({ rgba: pictureToRgba(control), width: WIDTH, height: HEIGHT }, 0, row + 1);
    const figures: string[] = [];
    for (const [column, { one: look }] of looks.entries()) {
      const influences = [{ gives: 'look', weight: Number(values.weight), pictures: [{ content: look.name }] }];
      const request = readRequest({ ...scene, influences });
      const take = await engine.render(request, () => Promise.resolve(pictureOf(look)));
      const holds = subjectHold(seen, labels, control, pictureFromRgba(take.rgba, WIDTH, HEIGHT));
      const least = leastHold(holds) ?? 1;
      all.push(least);
      figures.push(`${look.name} ${least.toFixed(2)}${least < LEAST ? ` (${worst(holds)})` : ''}`);
      await tile(take, column + 1, row + 1);
    }
    console.log(`${prompt}\n  ${figures.join(' | ')}`);
  }
  if (values.keep) {
    await mkdir(values.keep, { recursive: true });
    const size = { width: (looks.length + 1) * 320, height: (stages.length + 1) * 240 };
    await sharp({ create: { ...size, channels: 3, background: '#ffffff' } })
      .composite(tiles)
      .png()
      .toFile(path.join(values.keep, 'hold.png'));
  }
  const held = all.filter((v) => v >= LEAST).length;
  console.log(
    `\nheld in ${held} of ${all.length} takes; the least is ${Math.min(...all).toFixed(2)} (wanted: ${LEAST})`,
  );
  process.exit(held === all.length ? 0 : 1);
}

/** The part of the figure that is held least. */
const worst = (holds: ReturnType<typeof subjectHold>): string =>
  holds
    .flatMap((h) => Object.entries(h) as [string, number][])
    .sort((a, b) => a[1] - b[1])[0]
    .map((v) => (typeof v === 'number' ? v.toFixed(2) : v))
    .join(' ');

const pictureOf = ({ rgba, width, height }: { rgba: Uint8ClampedArray; width: number; height: number }): Picture =>
  pictureFromRgba(rgba, width, height);

void main();
