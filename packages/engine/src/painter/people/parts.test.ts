import { PATTERNS, understand, type Pattern, type PersonBrief } from '@urbild/core';
import { environmentFor } from '../light/environment';
import { labelMap } from '../scene/labels';
import { REGION } from '../scene/region';
import { Scene } from '../scene/scene';
import type { Node, ShapeNode } from '../scene/displayList';
import { CAST } from './cast';
import { withTraits } from './fromTraits';
import { paintPerson } from './paintPerson';
import type { PersonPlace } from './personPlace';
import { HAIR_STYLES, HATS, OVERS, TOPS, type Person } from './person';

const SIDE = 200;
const YAWS = [0, 34, 84, 120, 168];

const person = (fields: Partial<Person>): Person => ({ ...CAST.Tove, over: undefined, ...fields });
function sceneOf(who: Person, fields: Partial<PersonPlace> = {}): Scene {
  const scene = new Scene(SIDE, SIDE, environmentFor('noon', 'clear', 'summer'), 2);
  paintPerson(scene, who, {
    x: 100,
    y: 70,
    head: 50,
    depth: 0,
    yaw: 34,
    expression: 'calm',
    action: 'stand',
    entity: 0,
    ...fields,
  });
  return scene;
}
const labelsOf = (who: Person, fields: Partial<PersonPlace> = {}) => labelMap(sceneOf(who, fields));
const count = (labels: Uint8Array, region: number) => labels.filter((l) => l === region).length;
const differ = (a: Uint8Array, b: Uint8Array) => a.filter((v, i) => v !== b[i]).length;

/** All shapes of a scene, those inside others too. */
function shapes(scene: Scene): ShapeNode[] {
  const all: ShapeNode[] = [];
  const visit = (n: Node): void => {
    if (n.kind === 'group') return n.children.forEach(visit);
    if (n.kind !== 'shape') return;
    all.push(n);
    n.children?.forEach(visit);
  };
  visit(scene.root);
  return all;
}

test.each(HAIR_STYLES)('hair worn %s shows from every side', (style) => {
  for (const yaw of YAWS) {
    const hair = count(labelsOf(person({ hair: { style, colour: [0.4, 0.07, 50], volume: 1 } }), { yaw }), REGION.hair);
    expect(`${yaw}: ${hair > (style === 'bald' ? 20 : 300)}`).toBe(`${yaw}: true`);
  }
});

test('from behind there is more hair and no face', () => {
  for (const style of HAIR_STYLES) {
    const of = (yaw: number) => labelsOf(person({ hair: { style, colour: [0.4, 0.07, 50], volume: 1 } }), { yaw });
    expect(count(of(168), REGION.eye)).toBe(0);
    expect(count(of(0), REGION.eye)).toBeGreaterThan(10);
    if (style !== 'bald') expect(count(of(168), REGION.hair)).toBeGreaterThan(count(of(0), REGION.hair));
  }
});

test.each(HATS)('a %s sits on the head from every side', (kind) => {
  for (const yaw of YAWS) {
    const labels = labelsOf(person({ hat: { kind, colour: [0.5, 0.12, 30] } }), { yaw });
    const rows = [...labels.keys()].filter((i) => labels[i] === REGION.headwear).map((i) => Math.floor(i / SIDE));
    expect(rows.length).toBeGreaterThan(80);
    // above the chin, which is at 65 px
    expect(rows.reduce((a, b) => a + b, 0) / rows.length).toBeLessThan(45);
  }
});

test.each(['constructor', 'none', 'x'])('a hat that a sheet calls %s is no hat', (choice) => {
  const all = { face: 1, hair: 1, build: 1, clothes: 1 };
  const worn = (hat: string) =>
    withTraits(person({ hat: undefined }), understand('a man').entities[0] as PersonBrief, {
      sources: [{ sheet: { headwear: { choice: hat, confidence: 1 } }, shares: all }],
      over: all,
    }).hat?.kind;
  expect(worn(choice)).toBeUndefined();
  expect(worn('beret')).toBe('beret');
});

test('eyes have white and iris, those that sleep are lines, and from afar they are dots', () => {
  const eyes = (fields: Partial<PersonPlace>) =>
    shapes(sceneOf(person({}), { yaw: 0, head: 90, ...fields })).filter((n) => n.region === REGION.eye);
  const seen = (fields: Partial<PersonPlace>) =>
    count(labelsOf(person({}), { yaw: 0, head: 90, ...fields }), REGION.eye);
  expect(eyes({}).length).toBeGreaterThan(8);
  expect(seen({ action: 'sleep' })).toBeLessThan(seen({}) / 2);
  expect(eyes({ action: 'sleep' }).length).toBeLessThan(eyes({}).length / 2);
  expect(eyes({ head: 40 })).toHaveLength(2);
});

test.each(TOPS)('a %s covers the trunk from every side, in its colour', (kind) => {
  for (const yaw of YAWS) {
    const scene = sceneOf(
      person({ top: { kind, colour: [0.5, 0.15, 145] }, bottom: { kind: 'trousers', colour: [0.3, 0.02, 250] } }),
      { yaw },
    );
    expect(count(labelMap(scene), REGION.garment)).toBeGreaterThan(1200);
    const green = shapes(scene).filter((s) => s.region === REGION.garment && Math.abs(s.colour[2] - 145) < 25);
    expect(green.length).toBeGreaterThan(1);
  }
});

test.each(OVERS)('a %s is worn over the top, from the front and from behind', (kind) => {
  for (const yaw of [0, 34, 168]) {
    const bare = shapes(sceneOf(person({}), { yaw })).length;
    const worn = shapes(sceneOf(person({ over: { kind, colour: [0.6, 0.14, 250] } }), { yaw }));
    expect(worn.length).toBeGreaterThan(bare);
    expect(worn.some((s) => s.region === REGION.garment && Math.abs(s.colour[2] - 250) < 30)).toBe(true);
  }
});

test.each(PATTERNS)('%s bring a second colour onto the cloth', (pattern: Pattern) => {
  const cloth = { colour: [0.4, 0.1, 250], second: [0.9, 0.12, 95] } as const;
  const yellow = (p?: Pattern) =>
    shapes(sceneOf(person({ top: { kind: 'dress', ...cloth, pattern: p } }))).filter(
      (s) => s.colour[0] > 0.75 && Math.abs(s.colour[2] - 95) < 30 && s.region === REGION.garment,
    ).length;
  expect(yellow(pattern)).toBeGreaterThan(yellow() + 2);
});

test('trousers, skirts and shorts, boots, shoes and bare feet are told apart', () => {
  const seen = new Set<string>();
  for (const kind of ['trousers', 'skirt', 'shorts'] as const)
    for (const feet of ['boots', 'shoes', 'bare'] as const) {
      const labels = labelsOf(
        person({
          top: { kind: 'jumper', colour: [0.5, 0.1, 20] },
          bottom: { kind, colour: [0.4, 0.06, 250] },
          feet: { kind: feet, colour: [0.3, 0.04, 50] },
        }),
        { head: 30, y: 50 },
      );
      seen.add([REGION.legwear, REGION.footwear, REGION.skin].map((r) => count(labels, r)).join());
      if (feet === 'bare') expect(count(labels, REGION.footwear)).toBe(0);
    }
  expect(seen.size).toBeGreaterThanOrEqual(8);
});

test('glasses, beard, moustache, freckles, scarf and bag each change the figure', () => {
  const bare = shapes(sceneOf(person({ earring: undefined }), { head: 120, y: 130 })).length;
  const lines = (who: Person) => {
    let all = 0;
    const visit = (n: Node): void => {
      if (n.kind === 'group') n.children.forEach(visit);
      else if (n.kind === 'shape') {
        all++;
        n.children?.forEach(visit);
      } else all++;
    };
    visit(sceneOf(who, { head: 120, y: 130 }).root);
    return all;
  };
  expect(bare).toBeGreaterThan(10);
  const plain = lines(person({ earring: undefined }));
  for (const extra of [
    { glasses: [0.3, 0.05, 40] },
    { beard: [0.5, 0.05, 50] },
    { moustache: [0.5, 0.05, 50] },
    { freckles: true },
    { scarf: { colour: [0.5, 0.15, 27] } },
    { satchel: [0.5, 0.08, 60] },
    { wrinkles: true },
  ] as Partial<Person>[])
    expect(`${Object.keys(extra)[0]} ${lines(person({ earring: undefined, ...extra })) > plain}`).toBe(
      `${Object.keys(extra)[0]} true`,
    );
});

test('a figure that faces left is the mirror image of one that faces right', () => {
  const right = labelsOf(CAST.Ilse);
  const left = labelsOf(CAST.Ilse, { flip: true });
  const mirrored = Uint8Array.from(
    left,
    (_, i) => left[Math.floor(i / SIDE) * SIDE + (SIDE - (i % SIDE)) - (i % SIDE ? 0 : SIDE)],
  );
  expect(differ(right, mirrored)).toBeLessThan(0.05 * SIDE * SIDE);
});

test('a heavier body is broader, a child is smaller with a larger head', () => {
  const broad = (girth: number) =>
    count(labelsOf(person({ girth, top: { kind: 'jumper', colour: [0.5, 0.1, 20] } })), REGION.garment);
  expect(broad(1.35)).toBeGreaterThan(1.1 * broad(1));
  const face = (headScale: number) =>
    count(
      labelsOf(person({ headScale, hair: { style: 'bald', colour: [0.3, 0, 0], volume: 1 } }), { yaw: 0 }),
      REGION.skin,
    );
  expect(face(1.15)).toBeGreaterThan(1.1 * face(1));
});
