import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MEAN_FACE, rowOf } from '@urbild/core';
import type { Trait } from '../../api/sheets';
import { show } from '../../test/page';
import { FaceForm } from './FaceForm';
import { TraitList } from './TraitList';

const TRAITS: Trait[] = [
  { name: 'hair', colour: '#b5653a', word: 'red', confidence: 0.82 },
  { name: 'hair style', choice: 'short', confidence: 0.6 },
  { name: 'jaw', number: 1.1, confidence: 0.4 },
];
function list(traits = TRAITS, corrected: Trait[] = []) {
  const onCorrect = jest.fn<void, [Trait[]]>();
  show(<TraitList traits={traits} corrected={corrected} onCorrect={onCorrect} />);
  return onCorrect;
}

test('traits are told by swatch, word and number, with how sure they are', () => {
  list();
  expect(screen.getByLabelText('hair')).toHaveValue('#b5653a');
  expect(screen.getByText('red')).toBeVisible();
  expect(screen.getByLabelText('hair style')).toHaveValue('short');
  expect(screen.getByLabelText('jaw')).toHaveAttribute('aria-valuenow', '1.1');
  expect(screen.getByText('82 %')).toBeVisible();
});

test('what is chosen or set is a correction of that trait, beside the others', async () => {
  const other: Trait = { name: 'beard', choice: 'yes' };
  const onCorrect = list(TRAITS, [other]);
  await userEvent.selectOptions(screen.getByLabelText('hair style'), 'plait');
  expect(onCorrect).toHaveBeenLastCalledWith([other, { name: 'hair style', choice: 'plait' }]);
  const jaw = screen.getByLabelText('jaw');
  fireEvent.keyDown(jaw, { key: 'ArrowRight' });
  expect(onCorrect).toHaveBeenLastCalledWith([other, { name: 'jaw', number: 1.15 }]);
});

test('a trait is held as it is, and let go again', async () => {
  const onCorrect = list();
  await userEvent.click(screen.getByRole('button', { name: 'Hold hair as it is' }));
  expect(onCorrect).toHaveBeenLastCalledWith([TRAITS[0]]);
  document.body.innerHTML = '';
  const free = list([{ ...TRAITS[0], locked: true }], [{ name: 'hair', colour: '#b5653a' }]);
  expect(screen.queryByText('82 %')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Let hair be read from the pictures again' }));
  expect(free).toHaveBeenLastCalledWith([]);
});

test('nothing read says so', () => {
  list([]);
  expect(screen.getByText('No traits were read yet.')).toBeVisible();
});

test('of what is drawn from contours no sureness is told, and it can be set by hand all the same', () => {
  const onCorrect = list([TRAITS[0], { name: 'jaw', number: 1.1 }]);
  expect(screen.getAllByText(/%/)).toHaveLength(1);
  // the form of the face stands for it: it is out of the way
  expect(screen.getByLabelText('jaw').closest('details')).toBeInTheDocument();
  expect(screen.getByLabelText('hair').closest('details')).toBeNull();
  fireEvent.keyDown(screen.getByLabelText('jaw'), { key: 'ArrowRight' });
  expect(onCorrect).toHaveBeenLastCalledWith([{ name: 'jaw', number: 1.15 }]);
});

test('the form of a face is drawn over the usual one, both halves alike', () => {
  show(<FaceForm face={rowOf(MEAN_FACE).map((v, k) => (k % 2 ? v : 0.9 * v))} />);
  const [usual, own] = [...screen.getByRole('img', { name: /contours of the face/ }).querySelectorAll('path')].map(
    (path) => path.getAttribute('d')!,
  );
  expect(own).not.toBe(usual);
  const numbers = (d: string) => d.match(/-?\d+(\.\d+)?(e-\d+)?/g)!.map(Number);
  const xs = numbers(own).filter((_, k) => k % 2 === 0);
  expect(Math.max(...xs)).toBeCloseTo(-Math.min(...xs), 9);
  expect(own).not.toMatch(/NaN|undefined/);
});
