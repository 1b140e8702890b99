import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DndContext } from '@dnd-kit/core';
import { answers, show, type Asked } from '../../test/page';
import { Collections } from './Collections';
import { useLibraryState } from './useLibraryState';

const REEDS = { id: 'reeds', name: 'Reeds', count: 3, first: 'a', updatedAt: '', version: 2 };
const DUSK = { id: 'dusk', name: 'At dusk', search: 'words=dusk&kind=image', count: 0, updatedAt: '', version: 1 };

function Shown() {
  const state = useLibraryState();
  return (
    <DndContext>
      <Collections state={state} counts={{ reeds: 2 }} />
      <output aria-label="address">{state.search.toString()}</output>
    </DndContext>
  );
}

function open(at = '/library', list: object[] = [DUSK, REEDS]): Asked[] {
  const asked = answers({
    'GET /api/v1/collections': list,
    'POST /api/v1/collections': (body: object) => ({ ...REEDS, id: 'new', ...body }),
    'PATCH /api/v1/collections/{id}': REEDS,
    'DELETE /api/v1/collections/{id}': {},
  });
  show(<Shown />, { at, path: '/library' });
  return asked;
}
const sent = (asked: Asked[]) => asked.find((a) => a.method !== 'GET');
const address = () => screen.getByLabelText('address').textContent;

test('one of pictures is looked at by its id, a search by what it asks; a second click leaves it', async () => {
  open('/library?tag=mill&sel=a');
  await userEvent.click(await screen.findByRole('button', { name: /^Reeds 2$/ }));
  expect(address()).toBe('collection=reeds');
  await userEvent.click(screen.getByRole('button', { name: /At dusk/, pressed: false }));
  expect(address()).toBe('words=dusk&kind=image');
  await userEvent.click(screen.getByRole('button', { name: /At dusk/, pressed: true }));
  expect(address()).toBe('');
});

test('a new one holds what is chosen, and is shown', async () => {
  const asked = open('/library?sel=a&sel=b');
  await userEvent.click(await screen.findByRole('button', { name: 'New collection of the chosen 2' }));
  await userEvent.type(screen.getByLabelText('Name of the collection'), 'Quay{Enter}');
  await waitFor(() => expect(sent(asked)?.body).toEqual({ name: 'Quay', items: ['a', 'b'] }));
  await waitFor(() => expect(address()).toContain('collection=new'));
  expect(await screen.findByText('“Quay” was made.')).toBeVisible();
});

test('Escape makes none', async () => {
  const asked = open();
  await userEvent.click(await screen.findByRole('button', { name: 'New collection' }));
  await userEvent.type(screen.getByLabelText('Name of the collection'), 'Quay{Escape}');
  expect(screen.queryByLabelText('Name of the collection')).toBeNull();
  expect(sent(asked)).toBeUndefined();
});

test('it is renamed with F2 and deleted with Delete, and that is told with its undo', async () => {
  const asked = open();
  const reeds = await screen.findByRole('button', { name: /^Reeds/ });
  fireEvent.keyDown(reeds, { key: 'F2' });
  const name = screen.getByLabelText('Name of the collection');
  expect(name).toHaveValue('Reeds');
  await userEvent.clear(name);
  await userEvent.type(name, 'Sedge{Enter}');
  await waitFor(() => expect(sent(asked)?.body).toEqual({ version: 2, name: 'Sedge' }));
  fireEvent.keyDown(await screen.findByRole('button', { name: /^Reeds/ }), { key: 'Delete' });
  await waitFor(() => expect(asked.some((a) => a.method === 'DELETE')).toBe(true));
  expect(await screen.findByText(/“Reeds” was deleted\. Its pictures stay/)).toBeVisible();
  expect(screen.getByRole('button', { name: 'Undo' })).toBeVisible();
});

test('where there is none it says what they are for', async () => {
  open('/library', []);
  expect(await screen.findByText(/Choose pictures and press \+/)).toBeVisible();
});
