import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MOST_VALUES } from '@urbild/core';
import type { Mix } from '../../api/client';
import type { StripAxis } from '../../api/trials';
import { anInfluence, answers, aReference, show } from '../../test/page';
import { SwapChoice } from './SwapChoice';

const LOOKS = [
  { id: 'sea', name: 'Sea', items: [{ referenceId: 'swap-first' }, { referenceId: 'swap-second' }] },
  { id: 'bare', name: 'Bare', items: [] },
];
const PICTURES = [
  aReference({ id: 'swap-first', title: 'Quay', thumbnailUrl: '/quay.webp' }),
  aReference({ id: 'swap-second', title: 'Barn', thumbnailUrl: '/barn.webp', kind: 'face' }),
  aReference({ id: 'swap-own', title: 'Own' }),
];
const choose = (influence: object, values: string[] = []) => {
  answers({
    'GET /api/v1/looks': LOOKS,
    'GET /api/v1/cast': [{ id: 'ilse', name: 'Ilse', items: [] }],
    'GET /api/v1/references/search': { ids: ['swap-first', 'swap-second'] },
    'GET /api/v1/references': PICTURES,
  });
  const onChange = jest.fn();
  const axis = { setting: 'swap', influence: 'a', values } as unknown as StripAxis;
  const mix = { id: 'm', influences: [anInfluence(influence as never)] } as Mix;
  show(<SwapChoice axis={axis} mix={mix} onChange={onChange} />);
  return { axis, onChange };
};

test('for a look there are looks, each by its first picture', async () => {
  const { axis, onChange } = choose({ of: 'look', referenceId: 'sea' });
  const sea = await screen.findByRole('button', { name: 'Sea' });
  await waitFor(() => expect(sea.querySelector('img')).toHaveAttribute('src', '/quay.webp'));
  expect(screen.getByRole('button', { name: 'Bare' }).querySelector('img')).toBeNull();
  await userEvent.click(sea);
  expect(onChange).toHaveBeenCalledWith({ ...axis, values: ['look:sea'] });
});

test('for a character there is the cast', async () => {
  choose({ of: 'character', referenceId: 'ilse' });
  expect(await screen.findByRole('button', { name: 'Ilse' })).toBeVisible();
});

test('for a picture there are those of its kind; a chosen one is taken out again', async () => {
  const { axis, onChange } = choose({ referenceId: 'swap-own' }, ['reference:swap-first']);
  const quay = await screen.findByRole('button', { name: 'Quay', pressed: true });
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Barn' })).toBeNull());
  await userEvent.click(quay);
  expect(onChange).toHaveBeenCalledWith({ ...axis, values: [] });
});

test('beyond the most that a strip takes nothing more is chosen', async () => {
  choose(
    { of: 'look', referenceId: 'sea' },
    Array.from({ length: MOST_VALUES }, (_, k) => `look:${k}`),
  );
  expect(await screen.findByRole('button', { name: 'Sea' })).toBeDisabled();
});
