import { MEAN_FACE, rowOf, type Lab, type MixInfluence, type MixSettings, type TraitSheet } from '@urbild/core';
import { readRequest } from '@urbild/engine';
import type { Sources } from '../mixes/sources.service';
import { controlRequest, isControl, requestFor, requestHash } from './renderPlan';

const influence = (fields: Partial<MixInfluence> = {}): MixInfluence => ({
  id: 'a',
  referenceId: 'r',
  gives: 'look',
  weight: 0.8,
  from: 0,
  to: 1,
  reading: 'normal',
  on: true,
  ...fields,
});
const mix = (influences: MixInfluence[], settings: Partial<MixSettings> = {}) => ({
  prompt: 'marsh',
  avoid: 'boats',
  settings: { aspect: '3:2' as const, seed: 4, balance: 1, ...settings },
  influences,
});
const picture = { referenceId: 'r', weight: 1, pictureHash: 'f'.repeat(64), descriptorsHash: 'd'.repeat(64) };
const references: Sources = new Map([['a', { pictures: [picture] }]]);
const engine = { name: 'urbild', version: '0.1.0' };

test('a request is the mix in numbers, with pictures by their content', () => {
  expect(requestFor(mix([influence()]), references, { quality: 'draft' })).toEqual({
    prompt: 'marsh',
    avoid: 'boats',
    width: 256,
    height: 168,
    seed: 4,
    spread: 1,
    balance: 1,
    influences: [
      {
        id: 'a',
        gives: 'look',
        weight: 0.8,
        from: 0,
        to: 1,
        on: true,
        reading: 'normal',
        pictures: [{ content: 'f'.repeat(64), weight: 1 }],
      },
    ],
  });
});

test('a take may have words and a seed of its own; a reference that is gone is left out', () => {
  const request = requestFor(mix([influence(), influence({ id: 'b', referenceId: 'gone' })]), references, {
    quality: 'proof',
    prompt: 'pier',
    seed: 9,
  });
  expect(request).toMatchObject({ prompt: 'pier', seed: 9 });
  expect(request.influences.map((i) => i.id)).toEqual(['a']);
});

test('how the words are taken is asked for only where it is not usual; weights only of words that are there', () => {
  const ask = (settings: Partial<MixSettings>) => requestFor(mix([], settings), references, { quality: 'draft' });
  expect(ask({ strictness: 0.5, ornateness: 0.5, emphases: [{ words: 'marsh', weight: 1 }] })).toEqual(ask({}));
  expect(
    ask({
      strictness: 0.9,
      ornateness: 0,
      emphases: [
        { words: 'Marsh', weight: 1.4 },
        { words: 'whale', weight: 2 },
      ],
    }),
  ).toMatchObject({ strictness: 0.9, ornateness: 0, emphases: [{ words: 'Marsh', weight: 1.4 }] });
});

test('a medium is asked for only when the mix says one, also of its control', () => {
  expect(requestFor(mix([]), references, { quality: 'draft' })).not.toHaveProperty('medium');
  const request = requestFor(mix([influence()], { medium: 'linocut' }), references, { quality: 'draft' });
  expect(request.medium).toBe('linocut');
  expect(controlRequest(request).medium).toBe('linocut');
});

test("spread is the mix's own", () => {
  expect(requestFor(mix([], { spread: 0.3 }), references, { quality: 'draft' }).spread).toBe(0.3);
});

test('a control has the same words, seed and size, and no references', () => {
  const request = requestFor(mix([influence()], { balance: 1.4, spread: 0.3 }), references, { quality: 'proof' });
  const control = controlRequest(request);
  expect(control).toEqual({ ...request, balance: 1, influences: [] });
  expect(isControl(control)).toBe(true);
  expect(isControl(request)).toBe(false);
  for (const silent of [influence({ on: false }), influence({ weight: 0 })]) {
    expect(isControl(requestFor(mix([silent]), references, { quality: 'proof' }))).toBe(true);
  }
  expect(isControl(requestFor(mix([influence()], { balance: 0 }), references, { quality: 'proof' }))).toBe(true);
});

test('hashes tell requests and engines apart', () => {
  const request = requestFor(mix([influence()]), references, { quality: 'proof' });
  expect(requestHash(request, engine)).toBe(requestHash(structuredClone(request), engine));
  expect(requestHash({ ...request, seed: 5 }, engine)).not.toBe(requestHash(request, engine));
  expect(requestHash(request, { ...engine, version: '0.2.0' })).not.toBe(requestHash(request, engine));
});

test('pictures go with their weights and with what matters of them for what they give', () => {
  const look: Sources = new Map([
    [
      'a',
      {
        pictures: [
          picture,
          {
            ...picture,
            pictureHash: 'e'.repeat(64),
            weight: 0.4,
            facts: { horizon: 0.3, joints: { nose: [0.5, 0.2] as const } },
          },
        ],
      },
    ],
  ]);
  const sent = (gives: MixInfluence['gives']) =>
    requestFor(mix([influence({ of: 'look', gives })]), look, { quality: 'draft' }).influences[0].pictures;
  expect(sent('layout')).toEqual([
    { content: 'f'.repeat(64), weight: 1 },
    { content: 'e'.repeat(64), weight: 0.4, horizon: 0.3, joints: { nose: [0.5, 0.2] } },
  ]);
  // somebody has looked at the picture meanwhile: a look is none the wiser, its takes stay current
  expect(sent('look')[1]).toEqual({ content: 'e'.repeat(64), weight: 0.4 });
  expect(Object.keys(sent('pose')[1])).toContain('joints');
});

test('a map goes along with a layout and with nothing else; the size of strokes with its influence', () => {
  const layout = { read: 'distance', near: 'dark' } as const;
  const of: Sources = new Map([['a', { pictures: [{ ...picture, facts: { layout } }] }]]);
  const sent = (fields: Partial<MixInfluence>) =>
    requestFor(mix([influence(fields)]), of, { quality: 'draft' }).influences[0];
  expect(sent({ gives: 'layout' }).pictures[0].layout).toEqual(layout);
  for (const gives of ['look', 'place', 'everything'] as const)
    expect(sent({ gives }).pictures[0].layout).toBeUndefined();
  expect(sent({ gives: 'look', motif: 1.4 }).motif).toBe(1.4);
  expect(sent({ gives: 'look' })).not.toHaveProperty('motif');
});

test('a character sends its name and its traits; a subject that was chosen goes before the name', () => {
  const nora: Sources = new Map([
    [
      'a',
      {
        pictures: [picture],
        subject: 'Nora',
        traits: { skin: { colour: [0.512345, 0, 0], confidence: 0.9, locked: true } },
      },
    ],
  ]);
  const [sent] = requestFor(mix([influence({ gives: 'character', parts: ['hair'] })]), nora, {
    quality: 'draft',
  }).influences;
  expect(sent).toMatchObject({
    subject: 'Nora',
    parts: ['hair'],
    traits: { skin: { colour: [0.5123, 0, 0], confidence: 0.9 } },
  });
  expect(sent.traits!.skin).not.toHaveProperty('locked');
  const bound = requestFor(mix([influence({ subject: 'Ilse' })]), nora, { quality: 'draft' }).influences[0];
  expect(bound.subject).toBe('Ilse');
});

test('only those of the cast whom the words name are told to the engine', () => {
  const cast = [{ name: 'Nora', description: 'a girl' }, { name: 'Patch' }];
  const named = requestFor({ ...mix([]), prompt: 'nora on the pier' }, new Map(), { quality: 'draft' }, cast);
  expect(named.names).toEqual([cast[0]]);
  expect(requestFor(mix([]), new Map(), { quality: 'draft' }, cast)).not.toHaveProperty('names');
  const ilse = { ...mix([]), prompt: 'Ilse on the pier' };
  expect(requestFor(ilse, new Map(), { quality: 'draft' }, [{ name: 'Ilse' }])).not.toHaveProperty('names');
});

test('all that is known of a character reaches the engine, in few digits: colours, numbers, words and the form of the face', () => {
  const sheet: TraitSheet = {
    hair: { colour: [0.123456, 0.01, 0.02], confidence: 0.98765 },
    jaw: { number: 1.23456, confidence: 1, locked: true },
    glasses: { choice: 'yes', confidence: 0.5 },
    'face shape': { shape: MEAN_FACE, confidence: 0.4 },
  };
  const known: Sources = new Map([['a', { pictures: [{ ...picture, facts: { traits: sheet } }], traits: sheet }]]);
  const asked = influence({ of: 'character', gives: 'character' });
  const request = readRequest(requestFor(mix([asked]), known, { quality: 'draft' }));
  const told = request.influences[0].traits!;
  expect(told).toMatchObject({
    hair: { colour: [0.1235, 0.01, 0.02], confidence: 0.9877 },
    jaw: { number: 1.2346 },
    glasses: { choice: 'yes' },
  });
  expect(Object.keys(told)).toEqual(Object.keys(sheet));
  expect(told.jaw).not.toHaveProperty('locked');
  rowOf(told['face shape']!.shape!).forEach((v, k) => expect(v).toBeCloseTo(rowOf(MEAN_FACE)[k], 3));
  expect(request.influences[0].pictures[0].traits).toEqual(told);
});

test('of the outfits of the cast those are told that the words call, also of the demo cast', () => {
  const upper = { colour: [0.512345, 0, 0] as Lab, confidence: 0.9, locked: true };
  const outfits = [{ name: 'winter coat', wears: 'a green coat', traits: { upper } }, { name: 'Sunday dress' }];
  const cast = [
    { name: 'Nora', description: 'a girl', outfits },
    { name: 'Ilse', outfits },
  ];
  const names = (prompt: string) => requestFor({ ...mix([]), prompt }, new Map(), { quality: 'draft' }, cast).names;
  expect(names('nora on the pier')).toEqual([{ name: 'Nora', description: 'a girl' }]);
  const [{ outfits: told }] = names('Nora in her winter coats')!;
  expect(told).toEqual([
    { name: 'winter coat', wears: 'a green coat', traits: { upper: { colour: [0.5123, 0, 0], confidence: 0.9 } } },
  ]);
  expect(names('Ilse on the pier')).toBeUndefined();
  expect(names('Ilse in her Sunday dress')).toEqual([{ name: 'Ilse', outfits: [{ name: 'Sunday dress' }] }]);
});
