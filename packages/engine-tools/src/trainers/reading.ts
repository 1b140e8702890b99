/**
 * npm run train-reading: paints some hundred scenes in every medium and learns from them to tell medium, place and time of a
 * picture. Writes packages/core/src/reading/weights.generated.ts and prints how often the classifiers are right about scenes
 * that they did not learn from.
 */
import {
  classify,
  describeLikeness,
  describeStrokes,
  learnClassifier,
  MEDIA,
  packClassifier,
  pictureFromRgba,
  PLACES,
  Random,
  SEASONS,
  TIMES,
  understand,
  WEATHERS,
  type Learning,
  type PackedClassifier,
} from '@urbild/core';
import { writeFileSync } from 'fs';
import path from 'path';
import { PALETTES, paintStage } from '@urbild/engine/tools';

const SCENES = 66;
const SUBJECTS = [
  '',
  '',
  'Ilse walking',
  'an old man with a beard',
  'half figure of a girl',
  'portrait of a woman',
  'three gulls',
  'a fox',
  'Marek and Juna',
];

interface Sample {
  readonly scene: number;
  readonly medium: string;
  readonly place: string;
  readonly time: string;
  readonly strokes: Float32Array;
  readonly likeness: Float32Array;
}

/** One scene in one medium; place, time, weather, season, subject, palette and format differ. */
function paintSample(scene: number, m: number): Sample {
  const random = new Random(1000 + scene * MEDIA.length + m);
  const medium = MEDIA[m];
  const place = PLACES[(scene * MEDIA.length + m) % PLACES.length];
  const time = random.pick(TIMES);
  const brief = {
    ...understand(random.pick(SUBJECTS)),
    place,
    time,
    weather: random.pick(WEATHERS),
    season: random.pick(SEASONS),
  };
  const palettes = Object.keys(PALETTES[medium] ?? {});
  const palette = palettes.length && random.next() < 0.5 ? random.pick(palettes) : undefined;
  const upright = random.next() < 0.3;
  const stage = paintStage(brief, {
    width: upright ? 272 : 400,
    height: upright ? 400 : 272,
    seed: scene * 31 + m,
    medium,
    palette,
  });
  const picture = pictureFromRgba(stage.rgba, stage.width, stage.height);
  return { scene, medium, place, time, strokes: describeStrokes(picture), likeness: describeLikeness(picture) };
}

const both = (s: Sample) => Float32Array.from([...s.strokes, ...s.likeness]);
const TASKS: Record<
  'medium' | 'place' | 'time',
  { classes: readonly string[]; features: (s: Sample) => Float32Array; learning: Learning }
> = {
  medium: { classes: MEDIA, features: (s) => s.strokes, learning: { rounds: 500, decay: 1e-3 } },
  place: { classes: PLACES, features: (s) => s.likeness, learning: { rounds: 120, decay: 0.01 } },
  time: { classes: TIMES, features: both, learning: { rounds: 120, decay: 0.03 } },
};

const samples: Sample[] = [];
for (let scene = 0; scene < SCENES; scene++) for (let m = 0; m < MEDIA.length; m++) samples.push(paintSample(scene, m));
const packed: Record<string, PackedClassifier> = {};
for (const name of ['medium', 'place', 'time'] as const) {
  const { classes, features, learning } = TASKS[name];
  const learn = (from: readonly Sample[]) =>
    learnClassifier(
      from.map((s) => ({ features: features(s), is: s[name] })),
      classes,
      learning,
    );
  const held = learn(samples.filter((s) => s.scene % 4 !== 0));
  const unseen = samples.filter((s) => s.scene % 4 === 0);
  const right = unseen.filter((s) => classify(held, features(s))[0].is === s[name]).length;
  console.log(`${name}: ${right} of ${unseen.length} unseen pictures right`);
  packed[name] = packClassifier(learn(samples));
}
const file = path.join(__dirname, '../../../core/src/reading/weights.generated.ts');
writeFileSync(
  file,
  `/** Written by npm run train-reading. Do not edit. */\nimport type { PackedClassifier } from './classifier';\n\nexport const WEIGHTS: Readonly<Record<'medium' | 'place' | 'time', PackedClassifier>> = ${JSON.stringify(packed)};\n`,
);
