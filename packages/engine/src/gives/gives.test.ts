/** How each give acts agrees with what is declared of it, and each tells what it finds. */
import { give, GIVES, pictureFromRgba, understand, type Picture } from '@urbild/core';
import {
  DANCER,
  drawnFace,
  feltPlan,
  photographedHills,
  redKettle,
  signShape,
  stickDancer,
  type ForeignPicture,
} from '@urbild/engine-tools';
import type { RequestInfluence } from '../contract/request';
import { planSynthesis } from '../synthesis/plan';
import { influence, request } from '../testing';
import type { LoadedPicture } from './action';
import { directPainter } from './direct';
import { ACTIONS } from './index';
import { pictureRemarks, stageChanges } from './stageChanges';

const read = ({ rgba, width, height }: ForeignPicture): Picture => pictureFromRgba(rgba, width, height);
const hills = read(photographedHills());
const sign = read(signShape());
const JOINTS: NonNullable<LoadedPicture['told']['joints']> = DANCER;

/** What the painter is told of one influence with one picture. */
function directed(fields: Partial<RequestInfluence>, picture: Picture, told: Partial<LoadedPicture['told']> = {}) {
  const asked = request({ influences: [influence(fields)], prompt: 'Ilse walking in the harbour at noon' });
  const plan = planSynthesis(asked.influences, 1);
  const loaded = [{ influence: 0, part: 1, told: { content: 'foreign', weight: 1, ...told }, picture }];
  return { ...directPainter(asked, understand(asked.prompt), plan, loaded), plan, loaded, asked };
}

describe('what is declared in core and what the engine does', () => {
  test.each(GIVES)('%s: a horizon is read where the fact is needed', (gives) => {
    expect(!!ACTIONS[gives].horizon).toBe(give(gives).facts.includes('horizon'));
  });
  test.each(GIVES)('%s: what acts before looks is painted anew for it', (gives) => {
    const { horizon, light, changes, needsPose } = ACTIONS[gives];
    if (horizon ?? light ?? changes ?? needsPose) expect(give(gives).stage).toBe(true);
  });
  test.each(GIVES)('%s: the channel by which it changes a stage is one of its own', (gives) => {
    const { changesBy, changes } = ACTIONS[gives];
    expect(!!changesBy).toBe(!!changes);
    if (changesBy) expect(give(gives).factors[changesBy]).toBeGreaterThan(0);
  });
  test.each(GIVES)('%s: it can tell that it found nobody, where it carries somebody alone', (gives) => {
    const alone = Object.keys(give(gives).factors).join() === 'identity';
    if (alone) expect(ACTIONS[gives].nothingIn).toBeDefined();
  });
});

describe('the horizon', () => {
  test('as a person put it counts whole, and by the share', () => {
    const strong = directed({ gives: 'layout', weight: 1 }, hills, { horizon: 0.3 });
    expect(strong.hints.horizon).toEqual({ at: 0.3, share: expect.closeTo(strong.plan.layout[0], 9) });
    const weak = directed({ gives: 'layout', weight: 0.4 }, hills, { horizon: 0.3 });
    expect(weak.hints.horizon!.share).toBeLessThan(strong.hints.horizon!.share);
  });
  test('a map of near and far tells none', () => {
    expect(
      directed({ gives: 'layout' }, hills, { layout: { read: 'distance', near: 'dark' } }).hints.horizon,
    ).toBeUndefined();
  });
  test('nothing at weight 0, and none of a look', () => {
    expect(directed({ gives: 'layout', weight: 0 }, hills, { horizon: 0.3 }).hints.horizon).toBeUndefined();
    expect(directed({ gives: 'look' }, hills, { horizon: 0.3 }).hints.horizon).toBeUndefined();
  });
});

describe('the pose', () => {
  test('is that of the picture with its share; a reading as a hint gives none', () => {
    const told = directed({ gives: 'pose', weight: 0.8 }, read(stickDancer()), { joints: JOINTS });
    expect(told.hints.pose!.share).toBeCloseTo(told.plan.pose[0], 9);
    expect(told.remarks).toEqual([]);
    expect(directed({ gives: 'pose', reading: 'hint' }, hills, { joints: JOINTS }).hints.pose).toBeUndefined();
  });
  test('a picture without anybody is told of', () => {
    expect(directed({ gives: 'pose' }, hills).remarks).toEqual([{ influence: 'a', kind: 'nothing-to-give' }]);
  });
  test('of two pictures the stronger one counts', () => {
    const both = [influence({ gives: 'pose', weight: 0.9 }), influence({ id: 'b', gives: 'pose', weight: 0.4 })];
    const asked = request({ influences: both });
    const plan = planSynthesis(both, 1);
    const at = (k: number, joints: typeof JOINTS) => ({
      influence: k,
      part: 1,
      told: { content: 'foreign', weight: 1, joints },
      picture: hills,
    });
    const down = { ...JOINTS, leftWrist: [0.62, 0.6], rightWrist: [0.38, 0.6] } satisfies typeof JOINTS;
    const alone = directPainter(asked, understand(asked.prompt), plan, [at(0, JOINTS)]).hints.pose;
    const { pose } = directPainter(asked, understand(asked.prompt), plan, [at(1, down), at(0, JOINTS)]).hints;
    expect(pose).toEqual(alone);
  });
});

describe('people', () => {
  test('how strictly words hold is told to whoever takes an identity', () => {
    const held = (strictness?: number) => {
      const character = influence({ gives: 'character', traits: { skin: { colour: [0.4, 0, 0], confidence: 1 } } });
      const asked = request({ influences: [character], prompt: 'Ilse in the harbour', strictness });
      const loaded = [{ influence: 0, part: 1, told: { content: 'foreign', weight: 1 }, picture: hills }];
      const plan = planSynthesis(asked.influences, 1);
      return directPainter(asked, understand(asked.prompt), plan, loaded).identities.of.get(0)?.words;
    };
    expect([held(), held(0), held(1)]).toEqual([1, 0, 2]);
  });
});

describe('the light', () => {
  test('goes towards that of the picture, further by more weight', () => {
    const dark: Picture = { ...hills, planes: [hills.planes[0].map((v) => 0.3 * v), hills.planes[1], hills.planes[2]] };
    const lightness = (weight: number) => directed({ gives: 'light', weight }, dark).light.sky[2][0];
    const at = [0, 0.5, 1].map(lightness);
    expect(at[1]).toBeLessThan(at[0]);
    expect(at[2]).toBeLessThan(at[1]);
  });
  test('is not touched by other gives', () => {
    expect(directed({ gives: 'palette' }, hills).light).toEqual(directed({ gives: 'light', weight: 0 }, hills).light);
  });
});

describe('somebody', () => {
  const SHEET = { skin: { value: '#c08060', confidence: 1 } } as unknown as NonNullable<RequestInfluence['traits']>;
  test('a sheet that says nothing of clothes has no outfit to give', () => {
    const outfit = directed({ gives: 'outfit', traits: SHEET }, read(drawnFace()));
    expect(outfit.remarks).toContainEqual({ influence: 'a', kind: 'nothing-to-give' });
    expect(directed({ gives: 'face', traits: SHEET }, read(drawnFace())).remarks).toEqual([]);
    expect(directed({ gives: 'character', traits: {} }, read(drawnFace())).remarks).toContainEqual({
      influence: 'a',
      kind: 'nothing-to-give',
    });
  });
  test('with nobody in the words there is nobody to take it', () => {
    const mix = [influence({ gives: 'face', traits: SHEET })];
    const asked = request({ influences: mix, prompt: 'a harbour at noon' });
    const loaded = [{ influence: 0, part: 1, told: { content: 'foreign', weight: 1 }, picture: hills }];
    const { remarks } = directPainter(asked, understand(asked.prompt), planSynthesis(mix, 1), loaded);
    expect(remarks).toContainEqual({ influence: 'a', kind: 'nobody-to-take' });
  });
});

describe('changes of the stage', () => {
  const [W, H] = [96, 72];
  const grey = (L: number): Picture => ({
    width: W,
    height: H,
    planes: [new Float32Array(W * H).fill(L), new Float32Array(W * H), new Float32Array(W * H)],
  });
  /** A stage of one tone, changed by influences with a picture each. */
  function changed(of: readonly (readonly [Partial<RequestInfluence>, Picture])[]) {
    const influences = of.map(([fields], k) => influence({ id: String(k), ...fields }));
    const asked = request({ influences, width: W, height: H });
    const plan = planSynthesis(influences, 1);
    const loaded = of.map(([, picture], k) => ({ influence: k, part: 1, told: { content: 'x', weight: 1 }, picture }));
    const stage = { labels: new Uint8Array(W * H), figures: [], depth: () => new Uint8Array(W * H) };
    const changes = stageChanges(stage, loaded, { request: asked, plan, checkpoint: () => {} });
    return { changes, plan, loaded, asked };
  }
  test('a look and a palette change nothing of it; a shape of weight 0 neither', () => {
    for (const gives of ['look', 'palette', 'light', 'face'] as const)
      expect(changed([[{ gives }, sign]]).changes).toHaveLength(0);
    expect(changed([[{ gives: 'shape', weight: 0 }, sign]]).changes).toHaveLength(0);
  });
  test('a share is noted as applied when the change is made, not before', () => {
    const { changes, plan } = changed([[{ gives: 'shape', weight: 1 }, sign]]);
    expect(plan.applied).toHaveLength(0);
    changes[0](grey(0.5));
    expect(plan.applied).toEqual([expect.objectContaining({ channel: 'layout', influence: 0 })]);
  });
  test('a silhouette comes last, whatever the order of the lanes', () => {
    const { changes, plan } = changed([
      [{ gives: 'shape' }, sign],
      [{ gives: 'thing' }, read(redKettle())],
    ]);
    expect(changes).toHaveLength(2);
    changes[0](grey(0.5));
    expect(plan.applied.at(-1)!.influence).toBe(1);
    changes[1](grey(0.5));
    expect(plan.applied.at(-1)!.influence).toBe(0);
  });
  test('a toned drawing is a layout, and the remark says so', () => {
    const { loaded, asked, changes } = changed([[{ gives: 'shape' }, hills]]);
    expect(pictureRemarks(asked, loaded)).toEqual([{ influence: '0', kind: 'toned-shape' }]);
    // an arrangement is the painter's: nothing is laid over what it painted
    expect(changes).toHaveLength(0);
    expect(directed({ gives: 'shape' }, hills).hints.areas).toMatchObject({ ownColours: 0, alone: false });
    expect(directed({ gives: 'shape' }, sign).hints.areas).toBeUndefined();
    expect(ACTIONS.shape.servesAs!(sign)).toBeUndefined();
    expect(ACTIONS.shape.servesAs!(read(feltPlan()))).toBeDefined();
  });
  test('inside and around a silhouette are opposites', () => {
    const toned = (fill: 'inside' | 'around') =>
      changed([[{ gives: 'shape', fill }, sign]]).changes[0](grey(0.5)).planes[0];
    const [inside, around] = [toned('inside'), toned('around')];
    const middle = (H / 2) * W + W / 2;
    expect(inside[middle]).not.toBeCloseTo(around[middle], 2);
  });
});
