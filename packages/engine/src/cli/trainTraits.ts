/**
 * npm run train-traits: paints some hundred people and learns from them to read hair, headwear, beard, glasses and the numbers
 * of a face. Writes weights.generated.ts and prints how often that is right for people that it did not learn from.
 */
import {
  classify,
  learnClassifier,
  learnNumbers,
  packClassifier,
  Random,
  scoresOf,
  type Learning,
  type Medium,
} from '@urbild/core';
import { writeFileSync } from 'fs';
import path from 'path';
import { faceFeatures, mirrorMap, type FaceFeatures } from '../traits/features';
import type { FaceFrame } from '../traits/frame';
import { FACE_NUMBERS, SEEN_HATS, SEEN_STYLES, seenStyle } from '../traits/kinds';
import { describeSomebody, paintPersonFrom, type PaintedPerson } from '../traits/samples';
import { numbersOf } from '../traits/truth';

const PEOPLE = Number(process.argv[2] ?? 1400);
const LOOKED_AT = 3;
const MEDIA: readonly Medium[] = [
  'gouache',
  'pastel',
  'impasto',
  'gouache',
  'embroidery',
  'woodblock',
  'ink wash',
  'pastel',
];
const PLACES = ['meadow', 'harbour', 'kitchen', 'beach', 'village street', 'marsh'];
const TIMES = ['at noon', 'in the morning', 'in the morning, cloudy'];

interface Sample {
  readonly nth: number;
  readonly painted: PaintedPerson['person'];
  readonly features: FaceFeatures;
}

/** A found face is never quite where the true one is. */
function moved({ eyes, chin, yaw }: FaceFrame, r: Random): FaceFrame {
  const length = chin[1] - eyes[1];
  const off = () => r.normal() * 0.035 * length;
  return { eyes: [eyes[0] + off(), eyes[1] + off()], chin: [chin[0] + off(), chin[1] + off()], yaw };
}

const samples: Sample[] = [];
for (let nth = 0; nth < PEOPLE; nth++) {
  const r = new Random(7000 + nth);
  const words = `${r.pick(['half figure', 'portrait'])} of ${describeSomebody(r)}, ${r.pick(['front', 'front', 'three-quarter'])}, ${r.pick(PLACES)} ${r.pick(TIMES)}`;
  const painted = paintPersonFrom(words, MEDIA[nth % MEDIA.length], nth, nth, 300, 376);
  if (!painted?.frame) continue;
  for (let k = 0; k < LOOKED_AT; k++)
    samples.push({ nth, painted: painted.person, features: faceFeatures(painted.picture, moved(painted.frame, r)) });
}
console.log(`${samples.length} looks at ${PEOPLE} people`);

const both = ({ map, face }: FaceFeatures) => Float32Array.from([...map, ...face]);
const LEARNING: Learning = { rounds: 90, decay: 0.012, step: 0.05 };
const TASKS = {
  style: {
    classes: SEEN_STYLES,
    is: (p: PaintedPerson['person']) => seenStyle(p.hair.style),
    of: (f: FaceFeatures) => f.map,
  },
  hat: {
    classes: SEEN_HATS,
    is: (p: PaintedPerson['person']) => (SEEN_HATS as readonly string[]).find((h) => h === p.hat?.kind) ?? 'none',
    of: (f: FaceFeatures) => f.map,
  },
  beard: { classes: ['no', 'yes'], is: (p: PaintedPerson['person']) => (p.beard ? 'yes' : 'no'), of: both },
  glasses: {
    classes: ['no', 'yes'],
    is: (p: PaintedPerson['person']) => (p.glasses ? 'yes' : 'no'),
    of: (f: FaceFeatures) => f.face,
  },
};

const learntFrom = samples.filter((s) => s.nth % 5 !== 0);
const unseen = samples.filter((s) => s.nth % 5 === 0);
const packed: Record<string, unknown> = {};
for (const [name, { classes, is, of }] of Object.entries(TASKS)) {
  const learn = (from: readonly Sample[]) =>
    learnClassifier(
      from.flatMap(({ painted, features }) => [
        { features: of(features), is: is(painted) },
        { features: of({ ...features, map: mirrorMap(features.map) }), is: is(painted) },
      ]),
      classes,
      LEARNING,
    );
  const held = learn(learntFrom);
  const right = unseen.filter((s) => classify(held, of(s.features))[0].is === is(s.painted)).length;
  console.log(`${name}: ${Math.round((100 * right) / unseen.length)} % of ${unseen.length} unseen right`);
  packed[name] = packClassifier(learn(samples));
}
const learn = (from: readonly Sample[]) =>
  learnNumbers(
    from.map((s) => ({ features: s.features.face, numbers: numbersOf(s.painted) })),
    FACE_NUMBERS,
    { rounds: 150, decay: 0.15, step: 0.01 },
  );
const held = learn(learntFrom);
const mean = numbersOf(samples[0].painted).map(
  (_, k) => learntFrom.reduce((s, x) => s + numbersOf(x.painted)[k], 0) / learntFrom.length,
);
FACE_NUMBERS.forEach((name, k) => {
  const better = unseen.filter((s) => {
    const truth = numbersOf(s.painted)[k];
    return Math.abs(scoresOf(held, s.features.face)[k] - truth) < Math.abs(mean[k] - truth);
  }).length;
  console.log(`${name}: better than the mean face in ${Math.round((100 * better) / unseen.length)} %`);
});
packed.numbers = packClassifier(learn(samples));
const file = path.join(__dirname, '../traits/weights.generated.ts');
writeFileSync(
  file,
  `/** Written by npm run train-traits. Do not edit. */\nimport type { PackedClassifier } from '@urbild/core';\n\nexport const TRAIT_WEIGHTS: Readonly<Record<'style' | 'hat' | 'beard' | 'glasses' | 'numbers', PackedClassifier>> = ${JSON.stringify(packed)};\n`,
);
