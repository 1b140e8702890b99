import { MEDIA, pictureFromRgba, understand, type Picture } from '@urbild/core';
import { BuiltInEngine, paintStage, readRequest, type RenderRequest } from '@urbild/engine';
import sharp from 'sharp';
import { medianTime, report } from './measure';
import { benchMemory } from './memory';

/** The engine: a take of 512 px against encoding the same picture as PNG, and one look against two. */
export async function benchEngine(): Promise<void> {
  const engine = new BuiltInEngine();
  const references = new Map(
    (['linocut', 'pastel'] as const).map((medium, i) => {
      const { rgba, width, height } = paintStage(understand('lighthouse in a storm'), {
        width: 768,
        height: 512,
        seed: 3 + i,
        medium,
      });
      return [medium as string, pictureFromRgba(rgba, width, height)];
    }),
  );
  const request = (looks: readonly string[], seed: number): RenderRequest => ({
    prompt: 'Ilse poles the punt at dusk with Brom among reeds',
    avoid: '',
    width: 512,
    height: 512,
    seed,
    balance: 1,
    spread: 1,
    influences: looks.map((content) => ({
      id: content,
      gives: 'look',
      weight: 1 / looks.length,
      from: 0,
      to: 1,
      on: true,
      reading: 'normal',
      pictures: [{ content, weight: 1 }],
    })),
  });
  let seed = 1;
  const render = (looks: readonly string[]) =>
    engine.render(request(looks, seed++), (c) => Promise.resolve(references.get(c)!));
  const { rgba } = await render(['linocut']);
  const png = await medianTime(() =>
    sharp(Buffer.from(rgba.buffer), { raw: { width: 512, height: 512, channels: 4 } })
      .png()
      .toBuffer(),
  );
  await benchSizes(engine, references, render);
  benchMemory();
  await benchPainter();
  const control = await medianTime(() => render([]), 3);
  const one = await medianTime(() => render(['linocut']), 5);
  const two = await medianTime(() => render(['linocut', 'pastel']), 3);
  report('control, 512 px', control, 'PNG encoding', png);
  report('take with one look, 512 px, warm', one, 'PNG encoding', png, 'wanted: under 3000 ms');
  report('take with two looks, 512 px, warm', two, 'one look', one, 'wanted: under 1.5 x');
}

/**
 * A plate of 3 : 2 with one look at several sizes, each against encoding its own picture as PNG: while a weight moves over words
 * that stay, as on the bench, and with new words every time.
 */
async function benchSizes(
  engine: BuiltInEngine,
  references: ReadonlyMap<string, Picture>,
  like: (looks: readonly string[]) => Promise<unknown>,
): Promise<void> {
  await like(['linocut']);
  for (const [side, wanted] of [
    [256, 350],
    [512, 1000],
    [768, 2400],
    [1536, 12000],
  ] as const) {
    const height = Math.round(side / 12) * 8;
    let nth = 1;
    const render = (fields: object) =>
      engine.render(
        readRequest({
          prompt: 'Ilse poles the punt at dusk with Brom among reeds',
          width: side,
          height,
          influences: [{ weight: 0.8 + 0.002 * nth++, pictures: [{ content: 'linocut' }] }],
          ...fields,
        }),
        (c) => Promise.resolve(references.get(c)!),
      );
    const { rgba } = await render({});
    const raw = { raw: { width: side, height, channels: 4 as const } };
    const png = await medianTime(() => sharp(Buffer.from(rgba.buffer), raw).png().toBuffer(), 3);
    const times = side > 1000 ? 1 : side > 600 ? 3 : 9;
    const moved = await medianTime(() => render({}), times);
    const fresh = await medianTime(() => render({ seed: 100 + nth }), Math.min(3, times));
    report(`take with one look, ${side} px, a weight moved`, moved, 'PNG encoding', png, `wanted: ${wanted} ms`);
    report(`take with one look, ${side} px, new words`, fresh, 'PNG encoding', png);
  }
}

/** The painter in every medium against encoding the same picture as PNG, as well as the encoder can and as it usually does. */
async function benchPainter(): Promise<void> {
  const brief = understand('Ilse and a fox in the harbour at noon');
  const paint = (medium: (typeof MEDIA)[number]) => paintStage(brief, { width: 512, height: 512, seed: 5, medium });
  for (const medium of MEDIA) {
    const { rgba } = paint(medium);
    const raw = { raw: { width: 512, height: 512, channels: 4 as const } };
    const best = await medianTime(
      () => sharp(Buffer.from(rgba.buffer), raw).png({ compressionLevel: 9, adaptiveFiltering: true }).toBuffer(),
      3,
    );
    const usual = await medianTime(() => sharp(Buffer.from(rgba.buffer), raw).png().toBuffer(), 3);
    const taken = await medianTime(() => paint(medium), 3);
    report(
      `painter, 512 px, ${medium}`,
      taken,
      'PNG at its best compression',
      best,
      `${(taken / usual).toFixed(1)} x usual PNG; wanted: ${medium === 'gouache' ? 3 : 12} x`,
    );
  }
}
