import { cosine, lchToLab, median, Random, type Lab, type Medium } from '@urbild/core';
import { traitTruth } from '@urbild/engine';
import { describeSomebody } from '@urbild/engine-tools';
import { peopleWatcher } from './people';

/** Twenty-four people, none of whom the readers have learnt from. */
const PEOPLE = [
  'Ilse',
  'Marek',
  'Tove',
  'Juna',
  'an old woman with white hair in a bun and glasses, in a green coat',
  'a man with a black beard and short black hair in a red jumper',
  'a girl with two blond plaits in a blue dress',
  'a bald old man with a grey beard in a mustard jacket',
  'a dark-skinned woman with curls in a yellow dress',
  'a boy with tousled brown hair in a striped jumper',
  ...Array.from({ length: 14 }, (_, k) => describeSomebody(new Random(99000 + k))),
];
const MEDIA: readonly Medium[] = ['gouache', 'pastel', 'impasto', 'embroidery'];
const WIDTH = 640;
const HEIGHT = 800;

const gap = (a: Lab, b: Lab) => Math.hypot(...a.map((v, k) => v - b[k]));

/** Traits read from 96 painted pictures, by the same way as an import: face by the models, then colours, hair, numbers. */
export async function benchTraits(): Promise<void> {
  const { see, done } = await peopleWatcher(WIDTH, HEIGHT);
  const off: Record<'skin' | 'hair' | 'upper', number[]> = { skin: [], hair: [], upper: [] };
  let found = 0;
  let styles = 0;
  let lengths = 0;
  let hairs = 0;
  let better = 0;
  let numbers = 0;
  const faces: { who: number; embedding: readonly number[] }[] = [];
  for (const [who, words] of PEOPLE.entries())
    for (const medium of MEDIA) {
      // canvases are only cleared away between two turns of the event loop
      await new Promise(setImmediate);
      const { painted, face, read } = await see(words, medium, 900 + who);
      if (!face || !read) continue;
      found++;
      faces.push({ who, embedding: face.embedding });
      const { traits } = read;
      const truth = traitTruth(painted.person);
      off.skin.push(gap(traits.skin!.colour!, lchToLab(painted.person.skin)));
      if (traits.hair && truth.style !== 'bald')
        off.hair.push(gap(traits.hair.colour!, lchToLab(painted.person.hair.colour)));
      if (traits.upper) off.upper.push(gap(traits.upper.colour!, lchToLab(painted.person.top.colour)));
      hairs++;
      if (traits['hair style']!.choice === truth.style) styles++;
      if (traits['hair length']!.choice === truth.length) lengths++;
      for (const [name, value] of Object.entries(truth.numbers)) {
        numbers++;
        const read = traits[name as keyof typeof traits]?.number;
        if (read !== undefined && Math.abs(read - value) < Math.abs(truth.mean[name] - value)) better++;
      }
    }
  await done();
  const part = (n: number, of: number) => `${n}/${of} = ${Math.round((100 * n) / of)} %`;
  const same = faces.filter((f) => {
    const others = faces
      .filter((g) => g !== f)
      .sort((a, b) => cosine(b.embedding, f.embedding) - cosine(a.embedding, f.embedding));
    return others[0]?.who === f.who;
  }).length;
  console.log(`traits of ${PEOPLE.length} people in ${MEDIA.length} media (${MEDIA.join(', ')}):`);
  console.log(`  faces found                          ${part(found, PEOPLE.length * MEDIA.length)}`);
  for (const [name, values] of Object.entries(off))
    console.log(`  ${name.padEnd(10)} median OKLab error        ${median(values).toFixed(3)}  (wanted: .06)`);
  console.log(`  all colours, median OKLab error      ${median(Object.values(off).flat()).toFixed(3)}  (wanted: .06)`);
  console.log(`  hair style                           ${part(styles, hairs)}  (wanted: 80 %)`);
  console.log(`  hair length                          ${part(lengths, hairs)}  (wanted: 80 %)`);
  console.log(`  face numbers nearer than the mean's  ${part(better, numbers)}  (wanted: 70 %)`);
  console.log(`  nearest face is the same person      ${part(same, faces.length)}`);
}
