import { ownDifferences, ownText, type OwnDifference } from '@urbild/core';
import { ownFrom, ownToDto } from './ownSettings';
import type { OwnSettingsDto } from './series.dto';

const dto: OwnSettingsDto = {
  avoid: 'boats',
  balance: 0.5,
  influences: [
    { id: 'look', weight: 0.4, on: false },
    { id: 'who', from: 0.2 },
  ],
  added: [],
};

test('own settings come over the wire and go back as they were; what says nothing is not kept', () => {
  expect(ownToDto(ownFrom(dto))).toEqual(dto);
  expect(ownFrom({ influences: [{ id: 'look' }], added: [] })).toEqual({});
});

test('every own setting is told in words', () => {
  const mix = {
    prompt: '',
    avoid: '',
    settings: { aspect: '3:2' as const, seed: 1, balance: 1 },
    influences: ['look', 'who'].map((id) => ({
      id,
      referenceId: id,
      gives: 'look' as const,
      weight: 1,
      from: 0,
      to: 1,
      reading: 'normal' as const,
      on: true,
    })),
  };
  const added = { ...mix.influences[0], id: 'sketch', gives: 'layout' as const };
  const texts = ownDifferences(mix, { ...ownFrom(dto), added: [added] }).map((d: OwnDifference) =>
    ownText(d, d.influence ?? '', added.gives),
  );
  expect(texts).toEqual([
    'without “boats”',
    'balance 0.5 instead of 1',
    'look 0.4 instead of 1',
    'look off',
    'who begins at 20 % instead of 0 %',
    'sketch, gives layout to this shot alone',
  ]);
});
