import { createHash } from 'crypto';
import { readdirSync, readFileSync } from 'fs';
import path from 'path';
import {
  CLOTH_PATTERNS,
  DRESSED,
  FAMILIES,
  PATTERNED,
  PEOPLE_FAMILIES,
  SCENE_FAMILIES,
  type FamilyPicture,
  type ForeignFamily,
} from './index';

const made = new Map<string, FamilyPicture>();
/** A picture of a family, made once. */
function picture(family: ForeignFamily, who: number, seed: number): FamilyPicture {
  const key = `${family.name} ${who} ${seed}`;
  if (!made.has(key)) made.set(key, family.make({ who, seed }));
  return made.get(key)!;
}

const hash = ({ rgba }: FamilyPicture) => createHash('sha256').update(rgba).digest('hex');

/** How often each of 64 colours occurs, as parts. */
function colours({ rgba }: FamilyPicture): number[] {
  const bins = new Array<number>(64).fill(0);
  for (let i = 0; i < rgba.length; i += 4) bins[(rgba[i] >> 6) * 16 + (rgba[i + 1] >> 6) * 4 + (rgba[i + 2] >> 6)]++;
  return bins.map((n) => n / (rgba.length / 4));
}
const apart = (a: FamilyPicture, b: FamilyPicture) => {
  const [p, q] = [colours(a), colours(b)];
  return p.reduce((s, x, k) => s + Math.abs(x - q[k]), 0) / 2;
};
const far = (a: readonly number[], b: readonly number[]) => Math.hypot(...a.map((v, k) => v - b[k]));
/** The part of a picture that has the hue of a colour, lighter or darker. */
function partLike({ rgba }: FamilyPicture, colour: readonly number[]): number {
  const unit = (c: readonly number[]) => c.map((v) => v / (Math.hypot(...c) || 1));
  const [u, level] = [unit(colour), Math.hypot(...colour)];
  let n = 0;
  for (let i = 0; i < rgba.length; i += 4) {
    const c = [rgba[i], rgba[i + 1], rgba[i + 2]];
    const l = Math.hypot(...c);
    if (far(unit(c), u) < 0.16 && l > 0.2 * level && l < 1.3 * level) n++;
  }
  return n / (rgba.length / 4);
}
const mean = (all: readonly number[]) => all.reduce((a, b) => a + b, 0) / all.length;

test('there are twelve families at least, and about a third of them is held out', () => {
  expect(FAMILIES.length).toBeGreaterThanOrEqual(12);
  expect(new Set(FAMILIES.map((f) => f.name)).size).toBe(FAMILIES.length);
  const held = FAMILIES.filter((f) => f.heldOut).length / FAMILIES.length;
  expect(held).toBeGreaterThan(0.28);
  expect(held).toBeLessThan(0.4);
  // people, scenes and things are both learnt from and held out
  for (const heldOut of [true, false]) {
    const kinds = FAMILIES.filter((f) => f.heldOut === heldOut).map((f) => picture(f, 1, 1).truth.kind);
    expect(kinds).toEqual(expect.arrayContaining(['portrait', 'scene', 'thing']));
  }
});

test('none shares code with the painter, nor with another family', () => {
  const folder = __dirname;
  for (const file of readdirSync(folder).filter((f) => !f.includes('.test.') && f !== 'index.ts')) {
    const text = readFileSync(path.join(folder, file), 'utf8');
    const from = [...text.matchAll(/from '([^']+)'/g)].map((m) => m[1]);
    expect([file, from.filter((f) => !['@napi-rs/canvas', '@urbild/core', './family'].includes(f))]).toEqual([
      file,
      [],
    ]);
    const core = [...text.matchAll(/import (?:type )?\{([^}]*)\} from '@urbild\/core'/g)].flatMap((m) =>
      m[1].split(','),
    );
    const names = core.map((n) => n.replace('type ', '').trim()).filter(Boolean);
    expect([file, names.filter((n) => !['Random', 'ValueNoise'].includes(n))]).toEqual([file, []]);
  }
});

describe.each([...new Set([...FAMILIES, ...PEOPLE_FAMILIES, ...SCENE_FAMILIES])].map((f) => [f.name, f] as const))(
  '%s',
  (_, family) => {
    test('the same wish is the same picture to the last byte, another seed is another one', () => {
      const first = picture(family, 2, 1);
      const again = family.make({ who: 2, seed: 1 });
      expect(hash(again)).toBe(hash(first));
      expect(again.truth).toEqual(first.truth);
      expect(hash(picture(family, 2, 2))).not.toBe(hash(first));
    });

    test('it covers its size, is opaque, and no tone covers all of it', () => {
      const { rgba, width, height } = picture(family, 1, 1);
      expect(rgba).toHaveLength(width * height * 4);
      expect(rgba.every((v, i) => i % 4 !== 3 || v === 255)).toBe(true);
      expect(Math.max(...colours(picture(family, 1, 1)))).toBeLessThan(0.97);
    });

    test('who it is stays who it is in other pictures: the colours of people, the palette of a manner', () => {
      const whos = [1, 2, 3];
      const { truth } = picture(family, 1, 1);
      if (truth.clothes) {
        const worn = (who: number, seed: number) => [
          picture(family, who, seed).truth.clothes,
          picture(family, who, seed).truth.skin,
        ];
        for (const who of whos) expect(worn(who, 1)).toEqual(worn(who, 2));
        expect(new Set(whos.map((who) => String(worn(who, 1)))).size).toBe(whos.length);
      } else if (!truth.people) {
        const within = whos.map((who) => apart(picture(family, who, 1), picture(family, who, 2)));
        const between = whos.map((who) => apart(picture(family, who, 1), picture(family, (who % 3) + 1, 1)));
        expect(mean(between)).toBeGreaterThan(mean(within));
      }
    });

    test('what is said of it is possible', () => {
      const { truth } = picture(family, 3, 1);
      expect(truth.people).toBeGreaterThanOrEqual(
        truth.kind === 'portrait' || truth.kind === 'figure' || truth.kind === 'pose' ? 1 : 0,
      );
      for (const colour of [truth.hair, truth.skin, truth.clothes])
        for (const v of colour ?? []) expect(v >= 0 && v <= 255).toBe(true);
      for (const [x, y] of Object.values(truth.joints ?? {}))
        expect([x, y].every((v) => v > -0.3 && v < 1.3)).toBe(true);
    });
  },
);

test('the joints of a mannequin lie on it, not on the ground behind', () => {
  const family = FAMILIES.find((f) => f.name === 'mannequins')!;
  let on = 0;
  let all = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const { rgba, width, height, truth } = picture(family, 1, seed);
    const at = (x: number, y: number) => [...rgba.subarray((y * width + x) * 4, (y * width + x) * 4 + 3)];
    const ground = at(1, 1);
    for (const [u, v] of Object.values(truth.joints!)) {
      const [x, y] = [Math.round(u * width), Math.round(v * height)];
      if (x < 0 || y < 0 || x >= width || y >= height) continue;
      all++;
      if (at(x, y).some((c, k) => Math.abs(c - ground[k]) > 6)) on++;
    }
  }
  expect(on / all).toBeGreaterThan(0.95);
});

test('the hair, skin and clothes that a face is said to have are seen in it', () => {
  const family = FAMILIES.find((f) => f.name === 'flat people')!;
  for (let seed = 1; seed <= 8; seed++) {
    const { rgba, truth } = picture(family, seed, seed);
    for (const colour of [truth.hair!, truth.skin!, truth.clothes!]) {
      let near = 0;
      for (let i = 0; i < rgba.length; i += 4) if (colour.every((c, k) => Math.abs(c - rgba[i + k]) < 3)) near++;
      expect(near).toBeGreaterThan(60);
    }
  }
});

describe.each(PEOPLE_FAMILIES.map((f) => [f.name, f] as const))('people of %s', (_, family) => {
  const truths = Array.from({ length: 40 }, (__, k) => family.wears!(DRESSED + k));

  test('wear their hair in several ways, and hats, glasses and beards now and then', () => {
    expect(new Set(truths.map((t) => t.worn)).size).toBeGreaterThanOrEqual(3);
    for (const what of ['beard', 'glasses', 'headwear'] as const) {
      const part = truths.filter((t) => t[what] && t[what] !== 'none').length / truths.length;
      expect([what, part > 0.08 && part < 0.6]).toEqual([what, true]);
    }
  });

  test('wear patterned clothes from PATTERNED on, in two colours that are both seen', () => {
    const worn = Array.from({ length: 14 }, (__, k) => picture(family, PATTERNED + k, 5 + k));
    expect(new Set(worn.map((p) => p.truth.person!.pattern))).toEqual(new Set(CLOTH_PATTERNS));
    for (const who of [DRESSED, PATTERNED - 1])
      expect(['plain', undefined]).toContain(picture(family, who, 3).truth.person!.pattern);
    // drawings of one ink have no colours
    if (!worn.some((p) => p.truth.second)) return;
    for (const { truth } of worn) expect(!!truth.second).toBe(truth.person!.pattern !== 'plain');
    const colourful = worn.filter(({ truth }) => truth.second && far(truth.clothes!, truth.second) > 90);
    expect(colourful.length).toBeGreaterThan(2);
    for (const one of colourful) {
      const near = (c: readonly number[]) => partLike(one, c);
      // light and grain leave the hue: each of the two is found as often as one sees cloth at all
      expect([one.name, near(one.truth.second!) > 0.002 && near(one.truth.clothes!) > 0.002]).toEqual([one.name, true]);
    }
  });

  test('wear the same in every picture, as its truth says', () => {
    for (const seed of [1, 2]) expect(family.make({ who: DRESSED, seed }).truth.person).toEqual(truths[0]);
  });
});

test('what is noted of the areas of a scene covers it: sky above, ground below, and more than two of them', () => {
  for (const family of SCENE_FAMILIES) {
    const { width, height, truth } = picture(family, 2, 3);
    const { map, kinds } = truth.areas!;
    expect(map).toHaveLength(width * height);
    expect(map.every((id) => id < kinds.length)).toBe(true);
    const at = (u: number, v: number) => kinds[map[Math.floor(v * height) * width + Math.floor(u * width)]];
    expect([family.name, at(0.5, 0.02), ['ground', 'water'].includes(at(0.5, 0.98))]).toEqual([
      family.name,
      'sky',
      true,
    ]);
    expect(new Set(map).size).toBeGreaterThan(family.name === 'height fields' ? 1 : 4);
  }
});
