import {
  fuseTraits,
  lchToLab,
  meanShares,
  pictureFromRgba,
  poseDistance,
  poseOf,
  understand,
  type IdentityPart,
  type Picture,
  type TraitSheet,
} from '@urbild/core';
import {
  feltPenBoat,
  feltPlan,
  gradient,
  photographedEvening,
  photographedHills,
  signShape,
} from '@urbild/engine-tools';
import { DANCER, redKettle } from '@urbild/engine-tools';
import type { ForeignPicture } from '@urbild/engine-tools';
import { environmentFor } from '../painter/light/environment';
import { withBody, withTraits, type TraitPulls } from '../painter/people/fromTraits';
import { personFrom } from '../painter/people/fromWords';
import { mapsOf } from '../painter/paint';
import { REGION } from '../painter/scene/region';
import { influence } from '../testing';
import { decideIdentities } from '../gives/identities';
import { environmentLike, lightSide, mixLight } from './light';
import { fillHoles } from './ground';
import { fillShape, shapeFaults, silhouette } from './silhouette';
import { subjectAlpha, subjectOf } from '../understand/subject';
import { setThing } from './setThing';

const picture = (p: ForeignPicture): Picture => pictureFromRgba(p.rgba, p.width, p.height);
const flat = (w: number, h: number, colour: readonly [number, number, number]): Picture => ({
  width: w,
  height: h,
  planes: colour.map((v) => new Float32Array(w * h).fill(v)) as unknown as Picture['planes'],
});
const told = { content: 'x', weight: 1 };

describe('traits on a painted person', () => {
  const sheet: TraitSheet = {
    skin: { colour: lchToLab([0.45, 0.08, 45]), confidence: 0.9 },
    hair: { colour: lchToLab([0.2, 0.02, 270]), confidence: 0.9 },
    'hair style': { choice: 'curly', confidence: 0.9 },
    'face width': { number: 1.2, confidence: 0.9 },
    upper: { colour: lchToLab([0.5, 0.12, 200]), confidence: 0.9 },
    glasses: { choice: 'yes', confidence: 0.9 },
  };
  const pulls = (share: number, over = 1): TraitPulls => {
    const all = (v: number) => ({ face: v, hair: v, build: v, clothes: v }) as Record<IdentityPart, number>;
    return { sources: [{ sheet, shares: all(share) }], over: all(over) };
  };
  const brief = understand('a woman in the meadow').entities[0];
  if (brief.kind !== 'person') throw new Error('a person was expected');
  const own = personFrom(brief);

  test('numbers and colours move in proportion, one of several kinds changes over in the middle', () => {
    const at = [0, 0.25, 0.5, 0.75, 1].map((share) => withTraits(own, brief, pulls(share)));
    for (let k = 1; k < at.length; k++) {
      expect(at[k].skin[0]).toBeLessThan(at[k - 1].skin[0]);
      expect(at[k].face.width - at[0].face.width).toBeCloseTo((k / 4) * (1.2 - own.face.width), 6);
    }
    expect(at[0]).toEqual(own);
    expect(at.map((p) => p.hair.style === 'curly')).toEqual([false, false, false, true, true]);
    expect(at.map((p) => p.glasses !== undefined).slice(3)).toEqual([true, true]);
  });

  test('against a trait that the words name a pull of 1 has half, of 3 three quarters', () => {
    const pale = { ...brief, skin: 'pale' as const };
    const from = personFrom(pale);
    const moved = (over: number) => withTraits(from, pale, pulls(1, over)).skin[0];
    const whole = withTraits(from, brief, pulls(1)).skin[0];
    expect((from.skin[0] - moved(1)) / (from.skin[0] - whole)).toBeCloseTo(0.5, 1);
    expect((from.skin[0] - moved(3)) / (from.skin[0] - whole)).toBeCloseTo(0.75, 1);
  });

  test('strict words hold a named trait more, lax ones less', () => {
    const pale = { ...brief, skin: 'pale' as const };
    const from = personFrom(pale);
    const skin = (words: number) => withTraits(from, pale, { ...pulls(1), words }).skin[0];
    expect(skin(2)).toBeGreaterThan(skin(1) + 0.02);
    expect(skin(1)).toBeGreaterThan(skin(0) + 0.02);
    expect(skin(0)).toBeCloseTo(withTraits(from, brief, pulls(1)).skin[0], 2);
  });

  test('what was hardly read changes nothing', () => {
    const guessed = fuseTraits([{ skin: { ...sheet.skin!, confidence: 0.02 } }]);
    const p = pulls(1);
    expect(withTraits(own, brief, { ...p, sources: [{ ...p.sources[0], sheet: guessed }] }).skin).toEqual(own.skin);
  });

  test('a creature takes the colour of its body', () => {
    const dog = understand('a dog on the beach').entities[0];
    if (dog.kind !== 'creature') throw new Error('a creature was expected');
    const body: TraitSheet = { body: { colour: lchToLab([0.3, 0.02, 60]), confidence: 0.6 } };
    const p = pulls(0.8);
    const dark = withBody(dog, { ...p, sources: [{ ...p.sources[0], sheet: body }] });
    expect(dark.colour!.lch[0]).toBeLessThan(0.45);
    expect(withBody(dog, pulls(0.8)).colour).toEqual(dog.colour);
  });
});

describe('who takes which identity', () => {
  const sheet: TraitSheet = { skin: { colour: [0.5, 0.03, 0.04], confidence: 1 } };
  const decide = (prompt: string, ...influences: ReturnType<typeof influence>[]) =>
    decideIdentities(
      understand(prompt, '', [{ name: 'Nora', description: 'a girl' }]),
      { influences, balance: 1 },
      new Map(influences.map((i) => [i.id, sheet])),
    );

  test('two characters in one picture each have their own', () => {
    const a = influence({ id: 'a', gives: 'character', subject: 'Tove' });
    const b = influence({ id: 'b', gives: 'character', subject: 'Nora', weight: 0.6 });
    const { of, idle, log } = decide('Nora and Tove on the pier', a, b);
    expect(of.get(0)!.sources.map((s) => s.shares.face)).toEqual([0.6]);
    expect(of.get(1)!.sources.map((s) => s.shares.face)[0]).toBeCloseTo(1, 9);
    expect(idle).toEqual([]);
    for (const { subject, part, influences } of log) {
      const formula = meanShares({ influences: [a, b], balance: 1 }, 'identity', 0, 1, { subject, part });
      expect(influences).toEqual(formula.influences);
    }
  });

  test('a subject that the words do not name takes the first free body, nobody when there is none', () => {
    const ilse = influence({ gives: 'face', subject: 'Nora' });
    expect([...decide('a man and Tove on the pier', ilse).of.keys()]).toEqual([0]);
    expect(decide('the pier at dusk', ilse)).toMatchObject({ idle: ['a'] });
  });
});

describe('pose', () => {
  test('a body is measured in heads from the neck; an equal one is no distance away', () => {
    const pose = poseOf(DANCER, 1)!;
    expect(pose.right.hand![1]).toBeLessThan(-0.5);
    expect(pose.left.foot![1]).toBeGreaterThan(3.2);
    expect(poseDistance(pose, poseOf(DANCER, 1)!)).toBe(0);
    // twice the size is the same pose
    const larger = Object.fromEntries(Object.entries(DANCER).map(([n, [x, y]]) => [n, [2 * x, 2 * y] as const]));
    expect(poseDistance(pose, poseOf(larger, 1)!)).toBeLessThan(1e-6);
    expect(poseOf({ nose: [0.5, 0.2] }, 1)).toBeUndefined();
  });

  test('a dancer lifts the arm and the leg of a painted figure', () => {
    const figure = (share: number) =>
      mapsOf(understand('Ilse in the meadow'), {
        width: 320,
        height: 240,
        seed: 2,
        hints: { pose: { ...poseOf(DANCER, 1)!, share } },
      }).figures[0];
    const reach = (share: number) =>
      Math.min(figure(share).joints['far hand'][1], figure(share).joints['near hand'][1]);
    expect(reach(0.5)).toBeLessThan(reach(0));
    expect(reach(1)).toBeLessThan(reach(0.5));
  });
});

describe('light', () => {
  test('an evening and a misty day find lights like theirs', () => {
    expect(environmentLike(picture(photographedEvening()), 'summer').time).toMatch(/dusk|dawn/);
    const day = environmentLike(picture(photographedHills()), 'summer');
    expect(day.sky[1][0]).toBeGreaterThan(0.6);
  });

  test('the side of the light is the flank that brightens steeply', () => {
    const lit = flat(120, 90, [0.4, 0, 0]);
    for (let i = 0; i < lit.planes[0].length; i++) {
      const x = (i % 120) % 40;
      lit.planes[0][i] = x < 6 ? 0.3 + x * 0.1 : 0.9 - (x - 6) * 0.0176;
    }
    expect(lightSide(lit)).toBeLessThan(-0.3);
    const mirrored = {
      ...lit,
      planes: lit.planes.map((p) => p.map((_, i) => p[i - (i % 120) + 119 - (i % 120)])) as never,
    };
    expect(lightSide(mirrored)).toBeGreaterThan(0.3);
  });

  test('between two lights numbers move evenly and the hour changes over in the middle', () => {
    const [noon, night] = [environmentFor('noon', 'clear', 'summer'), environmentFor('night', 'clear', 'summer')];
    const lifts = [0, 0.25, 0.5, 0.75, 1].map((s) => mixLight(noon, night, s));
    expect(lifts.map((e) => e.time)).toEqual(['noon', 'noon', 'noon', 'night', 'night']);
    for (let k = 1; k < 5; k++) expect(lifts[k].sky[0][0]).toBeLessThan(lifts[k - 1].sky[0][0]);
  });
});

describe('masses', () => {
  test('holes are filled from around them', () => {
    const p = flat(80, 60, [0.7, 0.05, 0.05]);
    const hole = new Float32Array(80 * 60);
    for (let y = 20; y < 40; y++)
      for (let x = 30; x < 50; x++) {
        hole[y * 80 + x] = 1;
        p.planes[0][y * 80 + x] = 0;
      }
    expect(fillHoles(p, hole).planes[0][30 * 80 + 40]).toBeCloseTo(0.7, 2);
  });
});

describe('subjects, things and places', () => {
  test('a boat on white and a kettle are found, a gradient has no subject', () => {
    const kettle = subjectOf(picture(redKettle()), told)!;
    expect(kettle.confidence).toBeGreaterThan(0.8);
    expect(kettle.box.left).toBeGreaterThan(0.1);
    expect(subjectOf(picture(feltPenBoat()), told)!.box.top).toBeLessThan(0.4);
    const around = subjectOf(picture(gradient()), { ...told, joints: DANCER })!;
    expect(around).toMatchObject({ confidence: 1 });
  });

  test('a thing is set into the stage, larger with its share, and is a prop then', () => {
    const kettle = picture(redKettle());
    const { box } = subjectOf(kettle, told)!;
    const props = (share: number) => {
      const labels = new Uint8Array(160 * 120);
      const out = setThing(
        flat(160, 120, [0.6, 0, 0]),
        labels,
        { picture: kettle, alpha: subjectAlpha(kettle, box), box },
        share,
        [],
      );
      expect(Math.max(...out.planes[1])).toBeGreaterThan(share > 0.3 ? 0.1 : 0);
      return labels.filter((l) => l === REGION.prop).length;
    };
    expect(props(0.5)).toBeGreaterThan(100);
    expect(props(1)).toBeGreaterThan(1.3 * props(0.5));
  });

  test('in water a thing is mirrored below its foot, on land it casts a shadow', () => {
    const kettle = picture(redKettle());
    const { box } = subjectOf(kettle, told)!;
    const set = (region: number) => {
      const stage = flat(160, 120, [0.5, 0, -0.1]);
      const labels = new Uint8Array(160 * 120).fill(region);
      const cut = { picture: kettle, alpha: subjectAlpha(kettle, box), box };
      return { labels, ...setThing(stage, labels, cut, 1, []) };
    };
    /** How red and how dark the rows below the last one of the thing are at most. */
    const below = ({ labels, planes }: ReturnType<typeof set>) => {
      const foot = Math.floor(labels.lastIndexOf(REGION.prop) / 160) + 2;
      return { red: Math.max(...planes[1].slice(foot * 160)), dark: Math.min(...planes[0].slice(foot * 160)) };
    };
    expect(below(set(REGION.water)).red).toBeGreaterThan(0.05);
    expect(below(set(REGION.ground)).red).toBeLessThan(0.01);
    expect(below(set(REGION.ground)).dark).toBeLessThan(0.49);
  });
});

describe('shapes', () => {
  const sign = picture(signShape());

  test('a silhouette is fitted without stretching; white lettering on black is one too', () => {
    const wide = silhouette(sign, 200, 100);
    expect(wide[50 * 200 + 10]).toBe(0);
    expect(wide.reduce((a, b) => a + b, 0) / wide.length).toBeCloseTo(0.11, 1);
    const inverted = { ...sign, planes: [sign.planes[0].map((v) => 1 - v), sign.planes[1], sign.planes[2]] as never };
    const both = silhouette(inverted, 200, 100);
    expect(both.filter((v, i) => Math.abs(v - wide[i]) > 0.5).length).toBeLessThan(100);
  });

  test('faults: grey, touching the edge, hairlines', () => {
    expect(shapeFaults(sign, 200, 200)).toMatchObject({ touchesEdge: false });
    expect(shapeFaults(sign, 200, 200).grey).toBeLessThan(0.02);
    expect(shapeFaults(picture(feltPlan()), 200, 200).grey).toBeGreaterThan(0.3);
    expect(shapeFaults(picture(feltPlan()), 200, 200).touchesEdge).toBe(true);
    const lines = flat(100, 100, [1, 0, 0]);
    for (let y = 20; y < 80; y++) lines.planes[0][y * 100 + 50] = 0;
    expect(shapeFaults(lines, 100, 100).hairlines).toBeGreaterThan(0.9);
  });

  test('the picture fills the shape or what is around it, as far as the share goes', () => {
    const stage = picture(photographedHills(200, 200));
    const mask = silhouette(sign, 200, 200);
    const contrast = (share: number, around = false) => {
      const out = fillShape(stage, mask, share, around);
      const mean = (inside: boolean) => {
        const some = [...out.planes[0]].filter((_, i) => mask[i] > 0.5 === inside);
        return some.reduce((a, b) => a + b, 0) / some.length;
      };
      return Math.abs(mean(true) - mean(false));
    };
    expect(contrast(0.5)).toBeGreaterThan(contrast(0) + 0.05);
    expect(contrast(1)).toBeGreaterThan(contrast(0.5) + 0.05);
    expect(fillShape(stage, mask, 1, true).planes[1][5]).toBeCloseTo(stage.planes[1][5], 6);
  });
});
