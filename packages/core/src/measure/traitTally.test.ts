import type { TraitName, TraitSheet } from '../traits/types';
import { tallyTraits } from './traitTally';

const RED = { colour: [0.5, 0.15, 0.08] as [number, number, number], confidence: 0.8 };
const BLUE = { colour: [0.5, -0.03, -0.12] as [number, number, number], confidence: 0.8 };
const take = (traits: TraitSheet, ...named: TraitName[]) => ({ traits, named: new Set(named) });

test('what stays the same is kept, by the words, by the reference, or by neither', () => {
  const style = (choice: string) => ({ 'hair style': { choice, confidence: 0.7 } });
  const tally = tallyTraits(
    [
      take({ hair: RED, upper: BLUE, ...style('plait'), jaw: { number: 0.5, confidence: 0.6 } }, 'upper'),
      take({ hair: RED, upper: BLUE, ...style('plait'), jaw: { number: 0.55, confidence: 0.6 } }, 'upper'),
      take({ hair: RED, upper: RED, ...style('short'), jaw: { number: 1.2, confidence: 0.6 } }),
    ],
    { hair: RED, upper: RED, 'hair style': { choice: 'long', confidence: 1 } },
  );
  expect(tally).toEqual([
    { trait: 'hair', seen: 3, kept: 3, by: 'reference' },
    { trait: 'upper', seen: 3, kept: 2, by: 'words' },
    { trait: 'jaw', seen: 3, kept: 2, by: 'neither' },
    { trait: 'hair style', seen: 3, kept: 2, by: 'neither' },
  ]);
});

test('a colour in shade is still that colour, another hue is not', () => {
  const dark = { ...RED, colour: [0.4, 0.13, 0.07] as [number, number, number] };
  expect(tallyTraits([take({ hair: RED }), take({ hair: dark })], {})).toMatchObject([{ kept: 2 }]);
  expect(tallyTraits([take({ hair: RED }), take({ hair: BLUE })], {})).toMatchObject([{ kept: 1 }]);
});

test('what was hardly seen, or in one take only, says nothing', () => {
  const faint = { ...RED, confidence: 0.1 };
  expect(tallyTraits([take({ hair: RED }), take({ hair: faint })], { hair: RED })).toEqual([]);
  expect(tallyTraits([], {})).toEqual([]);
});
