/**
 * npm run bench:people [-- --each 20 --keep DIR]: what is read, by the way of an import, of people whom nobody learnt from: other people
 * of the foreign families. Prints a table and the calibration, and fails where a threshold is missed. How a family is read that was left
 * out of the learning altogether is told by npm run train-traits -- --samples FILES --only-tell.
 */
import { median, srgbToLab, viewOf, type Lab, type Slot, type TraitSheet } from '@urbild/core';
import {
  PATTERNED,
  PEOPLE_FAMILIES,
  type FamilyPicture,
  type ForeignFamily,
  type PersonTruth,
} from '@urbild/engine-tools';
import { mkdir } from 'fs/promises';
import path from 'path';
import { parseArgs } from 'util';
import { withReader, writePng, type ReadPicture } from './foreignSitters';
import { holds, told, type Line } from './honest/line';

/** Nobody from this number on has been learnt from; they wear patterns, and their eyes have colours. */
const UNSEEN = PATTERNED + 5000;
/** From here on a reading counts as sure. */
const SURE = 0.75;

const labOf = (rgb: readonly number[]): Lab => srgbToLab(Math.round(rgb[0]), Math.round(rgb[1]), Math.round(rgb[2]));
const gap = (a: Lab, b: Lab) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const LENGTH: Readonly<Record<PersonTruth['worn'], string>> = {
  ...{ bald: 'none', short: 'short', bob: 'short', up: 'short', long: 'long' },
};

/** What was right and how far off colours were, of some people. */
class Tally {
  found = 0;
  all = 0;
  readonly off = { hair: [] as number[], skin: [] as number[], upper: [] as number[], eyes: [] as number[] };
  readonly right = { headwear: 0, beard: 0, glasses: 0, length: 0, bald: 0, pattern: 0 };
  /** Whose clothes were large enough in the picture to tell a pattern. */
  clothed = 0;
  readonly sure: boolean[] = [];
  /** ms for reading one picture after the models have looked at it. */
  readonly took: number[] = [];

  /** Slots that were told right, of pictures whose turn is known and not between two. */
  readonly slots: boolean[] = [];

  take(traits: TraitSheet, slot: Slot | undefined, { truth }: FamilyPicture): void {
    this.found++;
    const view = truth.yaw === undefined ? undefined : viewOf(truth.yaw);
    if (view && viewOf(truth.yaw! * 1.2) === view && viewOf(truth.yaw! / 1.2) === view)
      this.slots.push(slot === (view === 'profile' ? 'side' : view));
    const person = truth.person!;
    const colour = (name: 'hair' | 'skin' | 'upper' | 'eyes', is: readonly number[] | undefined) => {
      const read = traits[name]?.colour;
      if (is && read) this.off[name].push(gap(read, labOf(is)));
    };
    // under a hat what shows of the hair may be nothing
    colour('hair', person.headwear === 'none' ? truth.hair : undefined);
    colour('skin', truth.skin);
    // the one of two colours that there is more of
    const { clothes, second } = truth;
    const read = traits.upper?.colour;
    if (clothes && read) this.off.upper.push(Math.min(...[clothes, second ?? clothes].map((c) => gap(read, labOf(c)))));
    colour('eyes', truth.eyes);
    const says = (name: 'headwear' | 'beard' | 'glasses' | 'hair length') => traits[name]!;
    const note = (what: keyof Tally['right'], right: boolean, confidence: number) => {
      if (right) this.right[what]++;
      if (confidence >= SURE) this.sure.push(right);
    };
    const { headwear, beard, glasses } = person;
    note('headwear', (says('headwear').choice === 'none') === (headwear === 'none'), says('headwear').confidence);
    note('beard', (says('beard').choice === 'yes') === beard, says('beard').confidence);
    note('glasses', (says('glasses').choice === 'yes') === glasses, says('glasses').confidence);
    const length = says('hair length');
    note('length', length.choice === LENGTH[person.worn], length.confidence);
    const { pattern } = traits;
    if (pattern) {
      this.clothed++;
      note('pattern', pattern.choice === (person.pattern ?? 'plain'), pattern.confidence);
    }
    note('bald', (length.choice === 'none') === (person.worn === 'bald'), 0);
  }

  add(other: Tally): void {
    this.found += other.found;
    this.all += other.all;
    this.clothed += other.clothed;
    for (const k of ['hair', 'skin', 'upper', 'eyes'] as const) this.off[k].push(...other.off[k]);
    for (const k of Object.keys(this.right) as (keyof Tally['right'])[]) this.right[k] += other.right[k];
    this.sure.push(...other.sure);
    this.slots.push(...other.slots);
    this.took.push(...other.took);
  }

  part(what: keyof Tally['right']): number {
    const of = what === 'pattern' ? this.clothed : this.found;
    return of ? this.right[what] / of : 0;
  }

  row(name: string): string {
    const off = (k: keyof Tally['off']) => (this.off[k].length ? median(this.off[k]).toFixed(3) : '-').padStart(6);
    const parts = (Object.keys(this.right) as (keyof Tally['right'])[]).map((k) =>
      `${k} ${Math.round(100 * this.part(k))} %`.padEnd(15),
    );
    return `  ${name.padEnd(18)} faces ${this.found}/${this.all}  hair ${off('hair')}  skin ${off('skin')}  clothes ${off('upper')}  eyes ${off('eyes')}  ${parts.join(' ')}`;
  }
}

/** What is read of people of one family. */
async function tallied(family: ForeignFamily, each: number, read: ReadPicture, keep?: string): Promise<Tally> {
  const own = new Tally();
  for (let k = 0; k < each; k++) {
    const picture = family.make({ who: UNSEEN + k, seed: 900 + k });
    own.all++;
    if (keep) await writePng(path.join(keep, `${picture.name}.png`), picture);
    const seen = await read(picture);
    if (!seen) continue;
    own.took.push(seen.took);
    own.take(seen.traits, seen.slot, picture);
  }
  return own;
}

async function run(): Promise<void> {
  const { values } = parseArgs({ options: { each: { type: 'string', default: '20' }, keep: { type: 'string' } } });
  const whole = new Tally();
  if (values.keep) await mkdir(values.keep, { recursive: true });
  await withReader(async (read) => {
    for (const family of PEOPLE_FAMILIES) {
      const own = await tallied(family, Number(values.each), read, values.keep);
      console.log(own.row(family.heldOut ? `${family.name} *` : family.name));
      whole.add(own);
    }
  });
  console.log(whole.row('all'));
  console.log(`  reading one picture: ${Math.round(median(whole.took))} ms   (* held out of every tuning)`);
  const right = whole.sure.filter(Boolean).length / Math.max(1, whole.sure.length);
  const lines: Line[] = [
    { what: 'colour of hair, median OKLab error', figure: median(whole.off.hair), most: 0.06 },
    { what: 'colour of skin, median OKLab error', figure: median(whole.off.skin), most: 0.05 },
    { what: 'headwear, or none, told right', figure: whole.part('headwear'), least: 0.9 },
    { what: 'beard told right', figure: whole.part('beard'), least: 0.9 },
    { what: 'glasses told right', figure: whole.part('glasses'), least: 0.9 },
    { what: 'colour of eyes, median OKLab error', figure: median(whole.off.eyes), most: 0.08 },
    { what: 'pattern of clothes told right', figure: whole.part('pattern'), least: 0.85 },
    {
      what: `slots of a sheet told right, where the turn is known (${whole.slots.length})`,
      figure: whole.slots.filter(Boolean).length / Math.max(1, whole.slots.length),
      least: 0.95,
    },
    { what: 'length of hair told right', figure: whole.part('length'), least: 0.9 },
    { what: `readings of ${SURE} and more that are right (${whole.sure.length})`, figure: right, least: 0.85 },
  ];
  console.log(`\n${lines.map(told).join('\n')}`);
  process.exit(lines.every(holds) ? 0 : 1);
}

void run();
