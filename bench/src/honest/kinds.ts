import { foreignPictures } from './foreignPictures';
import type { Line } from './line';

/** What a person would file a picture of a family under. */
const WANTED = {
  portrait: ['face'],
  figure: ['character', 'image'],
  scene: ['style', 'image'],
  thing: ['image'],
  plan: ['style', 'image'],
  pose: ['character', 'image'],
} as const;
const EACH = 12;
const FIRST_SEED = 30;

/** Kinds that are guessed at import, over 200 pictures that nobody here drew: a table, and how many a person would have to mend. */
export async function kinds(print: (text: string) => void): Promise<Line[]> {
  const got = new Map<string, { kinds: Record<string, number>; own: number }>();
  let [right, all] = [0, 0];
  for await (const { family, made, kind } of foreignPictures(EACH, FIRST_SEED)) {
    const one = got.get(family.name) ?? { kinds: {}, own: 0 };
    got.set(family.name, one);
    one.kinds[kind] = (one.kinds[kind] ?? 0) + 1;
    all++;
    if (!(WANTED[made.truth.kind] as readonly string[]).includes(kind)) continue;
    one.own++;
    right++;
  }
  for (const [name, { kinds, own }] of got) {
    const guessed = Object.entries(kinds).map(([kind, n]) => `${kind} ${n}`);
    print(`  ${name}: ${guessed.join(', ')}; as a person would ${own} of ${EACH}`);
  }
  return [
    {
      what: `kinds of ${all} that are guessed as a person would file them`,
      figure: right,
      least: Math.ceil(all * 0.9),
    },
  ];
}
