import {
  CHANNELS,
  envelope,
  GIVES,
  pictureFromRgba,
  Random,
  READINGS,
  sharesAt,
  type Channel,
  type Gives,
  type Reading,
} from '@urbild/core';
import { BuiltInEngine } from '../engine';
import { foreignReferences } from '@urbild/engine-tools';
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

/** What a reading leaves of a share: docs/engine.md. */
function leftOf(reading: Reading, channel: Channel, from: number): number {
  if (reading === 'hint') return channel === 'surface' || channel === 'layout' || channel === 'pose' ? 0 : 0.5;
  return reading === 'loose' && channel === 'surface' && from >= 0.75 ? 0 : 1;
}

/** Channels on which an influence of one picture must have acted on a take, whatever the picture shows. */
const MUST: Readonly<Partial<Record<Gives, readonly Channel[]>>> = {
  look: ['colour', 'surface'],
  palette: ['colour'],
  light: ['colour'],
  place: ['layout'],
  everything: ['colour', 'surface'],
};

test('what the chart shows is what acted on the take, for 50 random mixes', async () => {
  const random = new Random(6);
  const engine = new BuiltInEngine();
  const references = foreignReferences().slice(0, 3);
  const pictures = references.map(({ picture: { rgba, width, height } }) => pictureFromRgba(rgba, width, height));
  const source = (content: string) => Promise.resolve(pictures[Number(content)]);
  const seen = new Set<string>();
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
    const { shares, applied } = await engine.render(request, source);
    for (const record of shares.filter((r) => !r.part)) {
      expect(CHANNELS).toContain(record.channel);
      const chart = meanOfChart(request, record.channel, record.from, record.to);
      record.influences.forEach((s, i) => expect(Math.abs(s - chart.influences[i])).toBeLessThan(1e-9));
      expect(Math.abs(record.words - chart.words)).toBeLessThan(1e-9);
    }
    for (const { channel, influence, share, from: begin, to: end } of applied) {
      const drawn = meanOfChart(request, channel, begin, end).influences[influence];
      const { gives, reading } = request.influences[influence];
      expect(Math.abs(share - drawn * leftOf(reading, channel, begin))).toBeLessThan(1e-9);
      if (share > 0) seen.add(`${gives}: ${channel}`);
    }
    request.influences.forEach(({ gives, reading }, k) => {
      for (const channel of MUST[gives] ?? []) {
        const drawn = meanOfChart(request, channel, 0, 1).influences[k] * leftOf(reading, channel, 0);
        if (drawn > 0.01)
          expect(applied.some((a) => a.channel === channel && a.influence === k && a.share > 0)).toBe(true);
      }
    });
  }
  expect([...seen]).toEqual(
    expect.arrayContaining(Object.entries(MUST).flatMap(([g, all]) => all.map((c) => `${g}: ${c}`))),
  );
});
