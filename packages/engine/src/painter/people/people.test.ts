import {
  ACTIONS,
  colourDistance,
  COLOUR_VALUES,
  GARMENT_WORDS,
  understand,
  VIEWS,
  type PersonBrief,
} from '@urbild/core';
import { composed, medianColour, painted } from '../testing';
import { CAST } from './cast';
import { personFrom } from './fromWords';
import { HeadModel } from './head/headModel';
import type { FigureRecord } from '../scene/figureRecord';
import { bendLimb } from './pose/limbs';
import { baseOf } from './paintPerson';
import { mapsOf, paintStage } from '../paint';
import { compose } from '../compose';
import { isFigure, REGION } from '../scene/region';

const person = (text: string) =>
  personFrom(understand(text).entities.find((e): e is PersonBrief => e.kind === 'person')!);

describe('people from words', () => {
  test('the same words give the same person, other words another one', () => {
    expect(person('a tall woman in a green coat')).toEqual(person('a tall woman in a green coat, marsh at night'));
    expect(person('a woman in a green coat')).not.toEqual(person('a woman in a red coat'));
    expect(personFrom(understand('two boys').entities[0] as PersonBrief, 0)).not.toEqual(
      personFrom(understand('two boys').entities[0] as PersonBrief, 1),
    );
  });

  test('named traits are the ones that are painted', () => {
    const p = person('a tall thin bald man with a moustache, glasses and blue eyes in a yellow raincoat and a top hat');
    expect(p).toMatchObject({
      hair: { style: 'bald' },
      top: { kind: 'oilskin', colour: COLOUR_VALUES.yellow },
      hat: { kind: 'top hat' },
    });
    expect(p.moustache).toBeDefined();
    expect(p.glasses).toBeDefined();
    expect(p.girth).toBeLessThan(0.9);
    expect(p.stature).toBeGreaterThan(1.1);
    expect(person('a dark-skinned girl').skin[0]).toBeLessThan(0.55);
    expect(person('a pale woman in a checked blue skirt').bottom).toMatchObject({
      kind: 'skirt',
      pattern: 'checks',
      colour: COLOUR_VALUES.blue,
    });
  });

  test('age shows', () => {
    const [child, grown, old] = ['a girl', 'a woman', 'an old woman'].map(person);
    expect(child.stature).toBeLessThan(0.85 * grown.stature);
    expect(child.headScale).toBeGreaterThan(grown.headScale);
    expect(old.wrinkles && !grown.wrinkles).toBe(true);
    expect(old.hair.colour[0]).toBeGreaterThan(0.6);
  });

  test('the cast keeps its traits but for what the words change', () => {
    expect(person('Ilse')).toEqual(CAST.Ilse);
    expect(person('Marek without a hat')).toEqual({ ...CAST.Marek, hat: undefined });
    expect(person('Ilse in a white coat')).toMatchObject({
      hair: CAST.Ilse.hair,
      skin: CAST.Ilse.skin,
      top: { colour: COLOUR_VALUES.white },
    });
  });

  test.each(Object.keys(GARMENT_WORDS))('%s changes what is worn', (kind) => {
    const plain = person('a grown man');
    const [word] = GARMENT_WORDS[kind];
    const dressed = person(`a grown man in a red ${word}`);
    expect(dressed).not.toEqual(plain);
  });
});

describe('views and poses', () => {
  test.each(VIEWS)('%s: eyes and nose are where they can be seen', (view) => {
    const words = {
      front: 'front view',
      'three-quarter': 'three-quarter view',
      profile: 'in profile',
      back: 'from behind',
    }[view];
    const { figures, labels } = painted(`half figure of Ilse, ${words}, marsh`, { width: 240, height: 240 });
    const { landmarks } = figures[0];
    const eyes = Object.keys(landmarks).filter((k) => k.endsWith('eye')).length;
    expect(eyes).toBe({ front: 2, 'three-quarter': 2, profile: 1, back: 0 }[view]);
    if (view !== 'profile') expect('nose' in landmarks).toBe(view !== 'back');
    expect(labels.some((l) => l === REGION.eye)).toBe(view !== 'back');
    for (const [x, y] of Object.values(landmarks))
      expect(isFigure(labels[Math.round(y) * 240 + Math.round(x)])).toBe(true);
  });

  test.each(ACTIONS)('somebody can %s with every joint in the picture and bones of one length', (action) => {
    const brief = understand('Ilse in the meadow');
    const scene = compose(
      { ...brief, entities: brief.entities.map((e) => ({ ...e, action })) as typeof brief.entities },
      { width: 320, height: 240, seed: 2 },
    );
    const [f] = scene.figures;
    for (const [x, y] of Object.values(f.joints)) {
      expect(x > 0 && x < 320).toBe(true);
      expect(y > 0 && y < 240).toBe(true);
    }
    const length = (a: string, b: string) =>
      Math.hypot(f.joints[a][0] - f.joints[b][0], f.joints[a][1] - f.joints[b][1]) / f.head;
    for (const side of ['far', 'near']) {
      expect(length(`${side} shoulder`, `${side} elbow`)).toBeCloseTo(0.82, 1);
      expect(length(`${side} elbow`, `${side} hand`)).toBeLessThan(0.86);
    }
    expect(f.box[1]).toBeLessThan(f.joints.neck[1]);
  });

  test('who sits is lower than who stands, and on the ground lower than on a chair', () => {
    expect(baseOf({ action: 'sit' })).toBeLessThan(baseOf({ action: 'stand' }));
    const neck = (prompt: string) => composed(prompt, { width: 320, height: 240 }).figures[0].joints.neck[1];
    expect(neck('a man sitting in the meadow')).toBeGreaterThan(neck('a man sitting on a chair in the meadow'));
    expect(neck('a man sitting on a chair in the meadow')).toBeGreaterThan(neck('a man in the meadow'));
  });

  test('a pose given by joints moves hands and feet, by its share', () => {
    const hand = (share: number) =>
      mapsOf(understand('Ilse in the meadow'), {
        width: 320,
        height: 240,
        seed: 2,
        hints: { pose: { left: { hand: [-0.4, -1.1] }, right: { hand: [0.4, -1.1] }, share } },
      }).figures[0].joints['far hand'];
    expect(hand(0)[1]).toBeGreaterThan(hand(0.5)[1]);
    expect(hand(0.5)[1]).toBeGreaterThan(hand(1)[1] + 1);
  });

  test('an arm reaches its target, bends to its side, and stops at its length', () => {
    const [elbow, hand] = bendLimb([0, 0], [1, 0.5], 0.82, 0.78, 1);
    expect(hand[0]).toBeCloseTo(1, 9);
    expect(Math.hypot(elbow[0], elbow[1])).toBeCloseTo(0.82, 6);
    expect(bendLimb([0, 0], [1, 0.5], 0.82, 0.78, -1)[0][1]).not.toBeCloseTo(elbow[1], 2);
    expect(Math.hypot(...(bendLimb([0, 0], [9, 0], 0.82, 0.78, 1)[1] as [number, number]))).toBeLessThan(1.6);
  });

  test('one head for every turn: it never vanishes, and its face looks away from behind', () => {
    for (let yaw = 0; yaw <= 180; yaw += 15) {
      const head = new HeadModel(CAST.Ilse, 0, 0, yaw, 0);
      const xs = head.outline().map((p) => p[0]);
      expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(0.6);
      expect(head.away).toBe(yaw > 104);
    }
  });
});

describe('identity', () => {
  /** Where the traits of a figure are measured: the face, the hair, the trunk without the arms. */
  const boxOf = (f: FigureRecord, region: number): [number, number, number, number] | undefined => {
    const { head, hips, neck, 'near shoulder': a, 'far shoulder': b } = f.joints;
    if (region === REGION.skin)
      return [head[0] - f.head * 0.42, head[1] - f.head * 0.12, head[0] + f.head * 0.42, head[1] + f.head * 0.45];
    if (region === REGION.garment)
      return [Math.min(a[0], b[0], hips[0] - 12), neck[1] + 10, Math.max(a[0], b[0], hips[0] + 12), hips[1]];
    return undefined;
  };

  test.each(['harbour', 'meadow', 'forest', 'beach'])(
    'Ilse keeps her colours from every side at noon, dusk and night: %s',
    (place) => {
      for (const time of ['noon', 'dusk', 'night'])
        for (const view of ['front view', 'three-quarter view', 'in profile', 'from behind']) {
          const brief = understand(`half figure of Ilse ${view}, ${place}, ${time}`);
          const options = { width: 300, height: 240, seed: 4 };
          const scene = compose(brief, options);
          const stage = paintStage(brief, options);
          for (const [region, own] of [
            [REGION.garment, CAST.Ilse.top.colour],
            [REGION.hair, CAST.Ilse.hair.colour],
            [REGION.skin, CAST.Ilse.skin],
          ] as const) {
            const seen = medianColour(stage, region, boxOf(stage.figures[0], region));
            if (!seen || (region === REGION.skin && view === 'from behind')) continue;
            const distance = colourDistance(scene.ungrade(seen, 0, scene.light.figureKeep), own);
            const said = `${time} ${view} region ${region}: `;
            expect(said + (distance < 0.06 ? 'near' : distance.toFixed(3))).toBe(`${said}near`);
          }
        }
    },
  );

  test('ungrading takes back what the light did', () => {
    const scene = composed('marsh at dusk');
    for (const colour of [CAST.Ilse.skin, CAST.Tove.top.colour, CAST.Marek.top.colour])
      for (const keep of [0, 0.6])
        expect(colourDistance(scene.ungrade(scene.grade(colour, 0.3, keep), 0.3, keep), colour)).toBeLessThan(1e-6);
  });
});
