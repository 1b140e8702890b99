import { UNASKED_KINDS } from '@urbild/core';
import type { Take } from '../../api/client';
import { saidOfUnasked } from './unasked';

type Found = Take['unasked'][number];
const found = (kind: Found['kind'], who?: string): Found => ({ kind, box: [0, 0, 1, 1], who });

test('everything that may come unasked has words of its own', () => {
  const said = UNASKED_KINDS.map((kind) => saidOfUnasked(found(kind)));
  expect(new Set(said).size).toBe(UNASKED_KINDS.length);
});

test('who is missing or cut off is named, or somebody', () => {
  expect(saidOfUnasked(found('missing', 'Brom'))).toBe('Brom cannot be found in it');
  expect(saidOfUnasked(found('cropped', 'Ilse'))).toBe('The head of Ilse is cut off');
  expect(saidOfUnasked(found('cropped'))).toBe('The head of somebody is cut off');
});
