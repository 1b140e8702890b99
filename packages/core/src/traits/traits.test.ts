import { agreementOf } from './agreement';
import { traitDistance } from './apart';
import { fuseTraits } from './fuse';
import type { Lab } from '../colour/oklab';
import type { TraitSheet } from './types';

const sheet = (hair: [number, number, number], style: string, confidence = 0.8): TraitSheet => ({
  hair: { colour: hair, confidence },
  skin: { colour: [0.8, 0.03, 0.05], confidence },
  'hair style': { choice: style, confidence },
  jaw: { number: 0.4, confidence },
});
const copper: [number, number, number] = [0.55, 0.09, 0.09];

test('several pictures agree on the median colour and the style of the majority', () => {
  const fused = fuseTraits([
    sheet(copper, 'plait'),
    sheet([0.57, 0.09, 0.09], 'plait'),
    sheet([0.2, 0, 0], 'short', 0.2),
  ]);
  expect(fused.hair!.colour![0]).toBeGreaterThan(0.55);
  expect(fused.hair!.colour![0]).toBeLessThan(0.57);
  expect(fused['hair style']!.choice).toBe('plait');
  expect(fused.jaw!.number).toBeCloseTo(0.4);
});

test('two pictures agree in the middle, nearer to the surer one; one alone is taken as it is', () => {
  const lightness = (...of: TraitSheet[]) => fuseTraits(of).hair!.colour![0];
  const dark: [number, number, number] = [0.2, 0, 0];
  expect(lightness(sheet(copper, 'plait'), sheet(dark, 'plait'))).toBeCloseTo(0.375);
  expect(lightness(sheet(copper, 'plait', 0.9), sheet(dark, 'plait', 0.1))).toBeCloseTo(0.2 + 0.9 * 0.35);
  expect(lightness(sheet(copper, 'plait'))).toBe(0.55);
});

test('agreement makes sure, contradiction unsure', () => {
  const one = fuseTraits([sheet(copper, 'plait')]);
  const three = fuseTraits([sheet(copper, 'plait'), sheet(copper, 'plait'), sheet(copper, 'plait')]);
  const quarrel = fuseTraits([sheet(copper, 'plait'), sheet([0.2, 0, 0], 'short')]);
  expect(three.hair!.confidence).toBeGreaterThan(one.hair!.confidence);
  expect(quarrel.hair!.confidence).toBeLessThan(three.hair!.confidence);
  expect(quarrel['hair style']!.confidence).toBeLessThan(one['hair style']!.confidence);
});

test('what a person locked goes before all pictures', () => {
  const locked: TraitSheet = { hair: { colour: [0.9, 0, 0], confidence: 1, locked: true } };
  const fused = fuseTraits([sheet(copper, 'plait'), sheet(copper, 'plait')], locked);
  expect(fused.hair).toEqual({ colour: [0.9, 0, 0], confidence: 1, locked: true });
  expect(fuseTraits([], {})).toEqual({});
});

test('distance: 0 for the same, more for another colour, more again for another style; undefined without anything in common', () => {
  const ilse = sheet(copper, 'plait');
  expect(traitDistance(ilse, ilse)).toBe(0);
  const dyed = traitDistance(ilse, sheet([0.2, 0, 0], 'plait'))!;
  expect(dyed).toBeGreaterThan(0.1);
  expect(traitDistance(ilse, sheet([0.2, 0, 0], 'short'))!).toBeGreaterThan(dyed);
  expect(traitDistance(ilse, {})).toBeUndefined();
});

test('colours that are far apart are still nearer on the way', () => {
  const black: [number, number, number] = [0.1, 0, 0];
  const only = (colour: [number, number, number]): TraitSheet => ({ hair: { colour, confidence: 1 } });
  const [far, on, near] = [0, 0.3, 0.9].map((t) =>
    traitDistance(only(black), only([0.9 - 0.8 * t, 0.3 * (1 - t), 0.1 * (1 - t)]))!,
  );
  expect(far).toBeGreaterThan(on + 0.05);
  expect(on).toBeGreaterThan(near + 0.5);
  expect(far).toBeLessThanOrEqual(1.5);
});

test('the odd picture of a sheet is named, and nobody when all agree', () => {
  const same = [sheet(copper, 'plait'), sheet([0.56, 0.09, 0.085], 'plait'), sheet([0.54, 0.088, 0.09], 'plait')];
  expect(agreementOf(same).odd).toBeUndefined();
  expect(agreementOf(same).agreement).toBeGreaterThan(0.9);
  const mixed = agreementOf([
    ...same,
    { ...sheet([0.2, 0, 0], 'short'), skin: { colour: [0.45, 0.05, 0.06], confidence: 0.9 } },
  ]);
  expect(mixed.odd?.index).toBe(3);
  expect(mixed.agreement).toBeLessThan(agreementOf(same).agreement);
  expect(agreementOf([same[0]])).toEqual({ agreement: 1 });
});

test('one trait that was misread makes nobody fall out, however far off it is', () => {
  const bearded = (choice: string, hair = copper): TraitSheet => ({
    ...sheet(hair, 'plait'),
    beard: { choice, confidence: 0.9 },
  });
  const misread = [bearded('no'), bearded('no'), bearded('yes'), bearded('no')];
  expect(agreementOf(misread).odd).toBeUndefined();
  const other: TraitSheet = { ...bearded('yes', [0.2, 0, 0]), skin: { colour: [0.45, 0.05, 0.06], confidence: 0.8 } };
  expect(agreementOf([bearded('no'), bearded('no'), other, bearded('no')]).odd).toMatchObject({ index: 2 });
});

test('the colour of a hat, and of a pattern, goes with what it is of', () => {
  const sure = <T extends object>(fields: T) => ({ ...fields, confidence: 0.8 });
  const one: TraitSheet = { headwear: sure({ choice: 'hat' }), hat: sure({ colour: [0.5, 0.1, 0] as Lab }) };
  const none: TraitSheet = { headwear: sure({ choice: 'none' }), pattern: sure({ choice: 'plain' }) };
  const dots: TraitSheet = {
    pattern: sure({ choice: 'dots' }),
    'pattern colour': sure({ colour: [0.9, 0, 0] as Lab }),
  };
  expect(fuseTraits([one, dots])).toMatchObject({ hat: { colour: one.hat!.colour }, 'pattern colour': {} });
  const fused = fuseTraits([one, dots, none, none]);
  expect(fused.headwear!.choice).toBe('none');
  expect(fused).not.toHaveProperty('hat');
  expect(fused).not.toHaveProperty('pattern colour');
  // what a person said stays
  expect(fuseTraits([none], { hat: { ...one.hat!, locked: true } }).hat).toBeDefined();
});
