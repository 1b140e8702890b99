import { CHANNELS, envelope, GIVES, pictureFromRgba, Random, READINGS, sharesAt, type Channel } from '@urbild/core';
import { BuiltInEngine } from '../engine';
import { foreignReferences } from '../foreign';
import { readRequest } from '../contract/readRequest';

/** The mean of the shares that a chart draws, over a part of the course, as a person would read it off. */
function meanOfChart(
  mix: Parameters<typeof sharesAt>[0],
  channel: Channel,
  from: number,
  to: number,
): { influences: number[]; words: number } {
  const steps = 200;
  let weights = 0;
  const sums = mix.influences.map(() => 0);
  let words = 0;
  for (let k = 0; k < steps; k++) {
    const t = from + ((to - from) * (k + 0.5)) / steps;
    const weight = envelope(channel, t);
    const shares = sharesAt(mix, channel, t);
    weights += weight;
    words += weight * shares.words;
    shares.influences.forEach((s, i) => (sums[i] += weight * s));
  }
  return weights
    ? { influences: sums.map((s) => s / weights), words: words / weights }
    : { influences: sums, words: 1 };
}

test('what the chart shows is what the take was made with, for 50 random mixes', async () => {
  const random = new Random(6);
  const engine = new BuiltInEngine();
  const references = foreignReferences().slice(0, 3);
  const pictures = references.map(({ picture: { rgba, width, height } }) => pictureFromRgba(rgba, width, height));
  const source = (content: string) => Promise.resolve(pictures[Number(content)]);
  for (let n = 0; n < 50; n++) {
    const [from, to] = [random.next(), random.next()].sort((a, b) => a - b);
    const request = readRequest({
      prompt: 'a boat in the harbour at noon',
      width: 64,
      height: 64,
      seed: n,
      balance: random.range(0, 2),
      influences: Array.from({ length: random.integer(1, 3) }, (_, k) => ({
        id: `i${k}`,
        gives: random.pick(GIVES),
        weight: random.range(0, 2),
        from: k ? from : 0,
        to: k ? to : 1,
        on: random.chance(0.85),
        reading: random.pick(READINGS),
        pictures: [{ content: String(k) }],
      })),
    });
    const { shares } = await engine.render(request, source);
    for (const record of shares.filter((r) => !r.part)) {
      expect(CHANNELS).toContain(record.channel);
      const chart = meanOfChart(request, record.channel, record.from, record.to);
      record.influences.forEach((s, i) => expect(Math.abs(s - chart.influences[i])).toBeLessThan(1e-9));
      expect(Math.abs(record.words - chart.words)).toBeLessThan(1e-9);
    }
  }
});
