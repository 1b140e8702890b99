/**
 * npm run train-regions: paints scenes in every medium and learns from them to tell sky, ground and things apart, pixel by pixel.
 * Writes weights.generated.ts and prints how many pixels are right in scenes that it did not learn from.
 */
import {
  answerOf,
  learnNetwork,
  MEDIA,
  packNetwork,
  pictureFromRgba,
  PLACES,
  Random,
  SEASONS,
  TIMES,
  understand,
  WEATHERS,
  type Lesson,
} from '@urbild/core';
import { writeFileSync } from 'fs';
import path from 'path';
import { kindOf, PALETTES, paintStage, REGION_KINDS, regionFeatures } from '@urbild/engine/tools';

const SCENES = Number(process.argv[2] ?? 60);
const PIXELS = 120;
const SUBJECTS = [
  '',
  '',
  'Ilse walking',
  'an old man with a beard',
  'half figure of a girl',
  'portrait of a woman',
  'three gulls',
  'a sailing boat',
  'two sailing boats',
  'Marek rowing a boat',
];

interface Sample extends Lesson {
  readonly scene: number;
  readonly medium: string;
  readonly kind: number;
}

function samplesOf(scene: number, m: number): Sample[] {
  const random = new Random(9000 + scene * MEDIA.length + m);
  const medium = MEDIA[m];
  const brief = {
    ...understand(random.pick(SUBJECTS)),
    place: PLACES[(scene * MEDIA.length + m) % PLACES.length],
    time: random.pick(TIMES),
    weather: random.pick(WEATHERS),
    season: random.pick(SEASONS),
  };
  const [width, height] = random.pick([
    [300, 200],
    [260, 260],
    [200, 300],
  ]);
  const palettes = Object.keys(PALETTES[medium] ?? {});
  const stage = paintStage(brief, {
    width,
    height,
    seed: random.next() * 1e9,
    medium,
    ...(palettes.length ? { palette: random.pick(palettes) } : {}),
  });
  const { width: w, height: h, count, values } = regionFeatures(pictureFromRgba(stage.rgba, width, height));
  const thing = REGION_KINDS.indexOf('thing');
  return Array.from({ length: PIXELS }, (_, nth): Sample => {
    let i = 0;
    let kind = 0;
    // every other one should be a thing: what is small and thin is missed otherwise, and a thing in the sky does more harm than
    // a sky that is not used
    for (let tries = 0; tries < 12; tries++) {
      const [x, y] = [Math.floor(random.next() * w), Math.floor(random.next() * h)];
      i = y * w + x;
      kind = kindOf(stage.labels[Math.floor(((y + 0.5) * height) / h) * width + Math.floor(((x + 0.5) * width) / w)]);
      if (nth % 2 === 0 || kind === thing) break;
    }
    return {
      scene,
      medium,
      kind,
      features: values.slice(i * count, (i + 1) * count),
      wanted: REGION_KINDS.map((_, k) => (k === kind ? 1 : 0)),
    };
  });
}

const samples: Sample[] = [];
for (let scene = 0; scene < SCENES; scene++)
  for (let m = 0; m < MEDIA.length; m++) samples.push(...samplesOf(scene, m));
console.log(`${samples.length} pixels of ${SCENES * MEDIA.length} pictures`);
const learn = (from: readonly Sample[]) =>
  learnNetwork(from, REGION_KINDS, 'choices', { hidden: 32, rounds: 14, rate: 0.004, decay: 0.002, drop: 0.04 });
const held = learn(samples.filter((s) => s.scene % 5 !== 0));
const unseen = samples.filter((s) => s.scene % 5 === 0);
const told = unseen.map((s) => {
  const answer = answerOf(held, s.features);
  return answer.indexOf(Math.max(...answer));
});
for (const [k, kind] of REGION_KINDS.entries()) {
  const all = unseen.flatMap((s, i) => (s.kind === k ? [told[i]] : []));
  const parts = REGION_KINDS.map(
    (other, o) => `${other} ${Math.round((100 * all.filter((t) => t === o).length) / all.length)} %`,
  );
  console.log(`${kind} is told to be: ${parts.join(', ')}`);
}
for (const medium of MEDIA) {
  const right = unseen.flatMap((s, i) => (s.medium === medium ? [s.kind === told[i]] : []));
  console.log(`${medium}: ${Math.round((100 * right.filter(Boolean).length) / right.length)} % right`);
}
const file = path.join(__dirname, '../../../engine/src/understand/regions/weights.generated.ts');
writeFileSync(
  file,
  `/** Written by npm run train-regions. Do not edit. */\nimport type { PackedNetwork } from '@urbild/core';\n\nexport const REGION_WEIGHTS: PackedNetwork = ${JSON.stringify(packNetwork(learn(samples)))};\n`,
);
