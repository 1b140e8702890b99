import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { answers, aReference, show } from '../../test/page';
import { LargeLook } from './LargeLook';

const IDS = ['l0', 'l1', 'l2', 'l3'];

function Held({ first, selected }: { first: string; selected: readonly string[] }) {
  const [id, setId] = useState<string | undefined>(first);
  return <LargeLook id={id} ids={IDS} selected={selected} onGo={setId} />;
}

async function look(first: string, selected: readonly string[] = [first]) {
  answers({
    'GET /api/v1/references': IDS.map((id) =>
      aReference({ id, title: `picture ${id}`, alt: id, sourceUrl: `/source/${id}` }),
    ),
  });
  show(<Held first={first} selected={selected} />, { at: '/library' });
  await screen.findByAltText(first);
  return screen.getByRole('dialog');
}
const frame = (name: RegExp) => screen.getByRole('group', { name });
const scaleOf = (alt: string) => Number(/scale\(([\d.]+)\)/.exec(screen.getByAltText(alt).style.transform)![1]);

describe('a picture as large as the window', () => {
  test('arrows go on to the next and the one before, space closes', async () => {
    const dialog = await look('l1');
    fireEvent.keyDown(dialog, { key: 'ArrowRight' });
    await screen.findByAltText('l2');
    expect(screen.queryByAltText('l1')).toBeNull();
    fireEvent.keyDown(dialog, { key: 'ArrowLeft' });
    await screen.findByAltText('l1');
    fireEvent.keyDown(dialog, { key: ' ' });
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  test('plus zooms; then arrows move in the picture and do not go on', async () => {
    await look('l1');
    const held = frame(/^picture l1/);
    fireEvent.keyDown(held, { key: 'ArrowRight' });
    await screen.findByAltText('l2');
    fireEvent.keyDown(frame(/^picture l2/), { key: '+' });
    expect(scaleOf('l2')).toBeGreaterThan(1.2);
    const before = screen.getByAltText('l2').style.transform;
    fireEvent.keyDown(frame(/^picture l2/), { key: 'ArrowRight' });
    expect(screen.getByAltText('l2').style.transform).not.toBe(before);
    expect(screen.queryByAltText('l3')).toBeNull();
  });

  test('it can be closed by a button', async () => {
    await look('l0');
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  test('those that are chosen are held against each other, under one zoom', async () => {
    await look('l2', ['l0', 'l2']);
    expect(screen.getByRole('dialog', { name: '2 pictures' })).toBeTruthy();
    fireEvent.keyDown(frame(/^picture l0/), { key: '+' });
    expect(scaleOf('l0')).toBe(scaleOf('l2'));
    expect(scaleOf('l0')).toBeGreaterThan(1.2);
    await userEvent.click(screen.getByRole('button', { name: 'wipe' }));
    expect(screen.getByRole('slider', { name: 'Edge of the wipe' })).toBeTruthy();
  });

  test('one that is not among the chosen is looked at alone', async () => {
    await look('l3', ['l0', 'l2']);
    expect(screen.queryByAltText('l0')).toBeNull();
    expect(screen.queryByRole('button', { name: 'wipe' })).toBeNull();
  });
});
