import { MEDIA } from '@urbild/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Tooltip } from 'radix-ui';
import type { MixSettings } from '../../api/client';
import { SettingCells } from './SettingCells';

const SETTINGS: MixSettings = { aspect: '3:2', seed: 7, balance: 1 };

function show(settings: MixSettings = SETTINGS) {
  const onChange = jest.fn<void, [MixSettings]>();
  render(
    <Tooltip.Provider>
      <SettingCells settings={settings} onChange={onChange} />
    </Tooltip.Provider>,
  );
  return onChange;
}

test('every setting of one value has a control that says what it is now', () => {
  show({ ...SETTINGS, strictness: 0.8, medium: 'linocut' });
  expect(screen.getByLabelText('Seed')).toHaveValue('7');
  expect(screen.getByLabelText('Balance of references against the prompt')).toHaveValue('1.0');
  expect(screen.getByLabelText('Spread of compositions')).toHaveValue('1.0');
  expect(screen.getByLabelText('Prompt strictness')).toHaveValue('0.8');
  expect(screen.getByLabelText('Detail, plain to ornate')).toHaveValue('0.5');
  expect(screen.getByLabelText('Aspect of the plate')).toHaveValue('3:2');
  expect(screen.getByLabelText('Medium of the stage')).toHaveValue('linocut');
});

test('a typed number is saved on Enter, one that is not allowed is not', async () => {
  const onChange = show();
  const strict = screen.getByLabelText('Prompt strictness');
  await userEvent.type(strict, '0.9{Enter}');
  expect(onChange).toHaveBeenLastCalledWith({ ...SETTINGS, strictness: 0.9 });
  await userEvent.clear(strict);
  await userEvent.type(strict, '3{Enter}');
  expect(onChange).toHaveBeenCalledTimes(1);
});

test('arrow keys go in tenths and end at the range', async () => {
  const onChange = show({ ...SETTINGS, balance: 2 });
  const balance = screen.getByLabelText('Balance of references against the prompt');
  await userEvent.type(balance, '{ArrowUp}');
  expect(onChange).toHaveBeenLastCalledWith({ ...SETTINGS, balance: 2 });
  await userEvent.type(balance, '{ArrowDown}');
  expect(onChange).toHaveBeenLastCalledWith({ ...SETTINGS, balance: 1.9 });
});

test('another seed is a whole number', async () => {
  const onChange = show();
  await userEvent.click(screen.getByRole('button', { name: 'Another seed' }));
  const [{ seed }] = onChange.mock.lastCall!;
  expect(Number.isInteger(seed)).toBe(true);
});

test('a medium is chosen, and left to words and looks again', async () => {
  const onChange = show({ ...SETTINGS, medium: 'pencil' });
  const medium = screen.getByLabelText('Medium of the stage');
  expect(medium.querySelectorAll('option')).toHaveLength(MEDIA.length + 1);
  await userEvent.selectOptions(medium, 'woodblock');
  expect(onChange).toHaveBeenLastCalledWith({ ...SETTINGS, medium: 'woodblock' });
  await userEvent.selectOptions(medium, '');
  expect(onChange).toHaveBeenLastCalledWith({ ...SETTINGS, medium: undefined });
});
