import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Mix } from '../../api/client';
import { anInfluence, answers, lookup, show } from '../../test/page';
import { StripMaker } from './StripMaker';

const mix = (fields: Partial<Mix> = {}): Mix =>
  ({
    id: 'm',
    name: 'Harbour',
    prompt: 'the harbour',
    avoid: '',
    settings: { aspect: '3:2', seed: 9, balance: 1 },
    influences: [anInfluence(), anInfluence({ id: 'b', referenceId: 'gone' })],
    version: 1,
    ...fields,
  }) as Mix;

function maker(fields: Partial<Mix> = {}) {
  answers({ 'GET /api/v1/looks': [], 'GET /api/v1/cast': [] });
  const onMake = jest.fn();
  show(<StripMaker mix={mix(fields)} lookup={lookup} busy={false} onMake={onMake} />);
  return onMake;
}

test('a strip begins with the weight of the first influence, in five steps', async () => {
  const onMake = maker();
  expect(screen.getByText('5 drafts, control first')).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Render the strip' }));
  expect(onMake).toHaveBeenCalledWith(
    [{ setting: 'weight', influence: 'a', values: [0, 0.3, 0.6, 0.9, 1.2] }],
    'draft',
  );
});

test('without influences it steps through seeds, from the one that is set', async () => {
  const onMake = maker({ influences: [] });
  await userEvent.click(screen.getByRole('button', { name: 'Render the strip' }));
  expect(onMake).toHaveBeenCalledWith([{ setting: 'seed', values: [9, 10, 11, 12, 13] }], 'draft');
});

test('values that a setting cannot have are told, and nothing is rendered', async () => {
  const onMake = maker();
  await userEvent.selectOptions(screen.getByLabelText('Step through: setting'), 'balance');
  const values = screen.getByLabelText('Values');
  await userEvent.clear(values);
  await userEvent.type(values, '0, 9');
  expect(screen.getByText('balance: from 0 to 2, not "9".')).toBeVisible();
  expect(screen.getByRole('button', { name: 'Render the strip' })).toBeDisabled();
  expect(onMake).not.toHaveBeenCalled();
});

test('even steps are chosen by their number', async () => {
  const onMake = maker();
  await userEvent.selectOptions(screen.getByLabelText('Even steps'), '3 steps');
  await userEvent.click(screen.getByRole('button', { name: 'Render the strip' }));
  expect(onMake).toHaveBeenCalledWith([{ setting: 'weight', influence: 'a', values: [0, 0.6, 1.2] }], 'draft');
});

test('a second axis makes a table, and can be taken away', async () => {
  const onMake = maker();
  await userEvent.click(screen.getByRole('button', { name: 'Add a second axis' }));
  expect(screen.getByText('25 drafts, control first')).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Only one axis' }));
  await userEvent.click(screen.getByRole('button', { name: 'Render the strip' }));
  expect((onMake.mock.lastCall as [unknown[]])[0]).toHaveLength(1);
});

test('words of a choice are pressed, in the order in which they were', async () => {
  const onMake = maker();
  await userEvent.selectOptions(screen.getByLabelText('Step through: setting'), 'reading');
  await userEvent.click(screen.getByRole('button', { name: 'hint' }));
  await userEvent.click(screen.getByRole('button', { name: 'hint' }));
  await userEvent.click(screen.getByRole('button', { name: 'Render the strip' }));
  expect(onMake).toHaveBeenCalledWith(
    [{ setting: 'reading', influence: 'a', values: ['loose', 'normal', 'close', 'hint'] }],
    'draft',
  );
});

test('leaving out begins with the whole mix', async () => {
  const onMake = maker();
  await userEvent.click(screen.getByRole('button', { name: 'Leave one out, each in turn' }));
  expect(onMake).toHaveBeenCalledWith([{ setting: 'without', values: ['', 'a', 'b'] }], 'draft');
});
