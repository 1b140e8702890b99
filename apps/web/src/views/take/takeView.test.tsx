import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Take } from '../../api/client';
import { answers, aReference, aTake, show } from '../../test/page';
import { Onwards } from './Onwards';
import { TakeView } from './TakeView';

const take = (fields: Partial<Take> = {}) => aTake({ mixId: 'm', pictureUrl: '/take/t', ...fields });

function view(of: Take, more: Record<string, unknown> = {}, at = '/takes/t') {
  const asked = answers({
    'GET /api/v1/takes/{id}': of,
    'GET /api/v1/takes': [of],
    'GET /api/v1/references': [aReference({ pictureUrl: '/ref' })],
    'GET /api/v1/looks': [],
    'GET /api/v1/cast': [],
    ...more,
  });
  show(<TakeView />, { at, path: '/takes/:takeId' });
  return asked;
}
const against = async () =>
  within(await screen.findByLabelText('against'))
    .getAllByRole('option')
    .map((o) => o.textContent);

describe('one take, large', () => {
  test('says what it is and how it was made', async () => {
    view(take({ took: 2340 }));
    expect(await screen.findByRole('heading', { name: 'a mill in the marsh' })).toBeVisible();
    expect(screen.getByText(/^proof · 768 × 512 px · seed 4 · 2\.3 s · urbild 0\.6\.0$/)).toBeVisible();
    expect(screen.getByRole('link', { name: 'Back to the bench' })).toHaveAttribute('href', '/bench/m?take=t');
  });

  test('lies against its control, its references and finished takes of the mix, never against itself or drafts', async () => {
    const others = [
      take({ id: 'u', seed: 9 }),
      take({ id: 'v', seed: 11, quality: 'draft' }),
      take({ id: 'w', seed: 12, status: 'failed' }),
    ];
    const own = take({ control: { id: 'c', pictureUrl: '/control' } as Take['control'] });
    view(own, { 'GET /api/v1/takes': [own, ...others] });
    await waitFor(async () => expect(await against()).toHaveLength(4));
    const [control, reference, sibling, none] = await against();
    expect([control, reference, none]).toEqual(['control', 'Carved quay', 'nothing']);
    expect(sibling).toMatch(/seed 9$/);
    expect(screen.getByAltText('Control')).toHaveAttribute('src', '/control');
    await userEvent.selectOptions(screen.getByLabelText('against'), 'Carved quay');
    expect(screen.getByAltText('Carved quay')).toHaveAttribute('src', '/ref');
  });

  test('what stands in the address is shown', async () => {
    view(take({ control: { id: 'c', pictureUrl: '/control' } as Take['control'] }), {}, '/takes/t?against=none');
    expect(await screen.findByAltText('a mill in the marsh')).toHaveAttribute('src', '/take/t');
    expect(screen.queryByAltText('Control')).toBeNull();
  });

  test('one that is gone says so', async () => {
    view(take(), { 'GET /api/v1/takes/{id}': 404 });
    expect(await screen.findByText('This take is not here')).toBeVisible();
    expect(screen.getByRole('link', { name: 'To the bench' })).toHaveAttribute('href', '/bench');
  });
});

describe('where a take can go', () => {
  function onwards(of: Take, by: Record<string, unknown> = {}) {
    const asked = answers({ 'GET /api/v1/takes/{id}': of, ...by });
    show(<Onwards take={of} />, { at: '/takes/t', path: '/takes/t' });
    return asked;
  }
  const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
  const made = { id: 'new' };

  test('nothing is done with what is not finished', () => {
    onwards(take({ status: 'rendering' }));
    for (const button of screen.getAllByRole('button')) expect(button).toBeDisabled();
  });

  test('only what an older engine drew is drawn again', () => {
    onwards(take());
    expect(screen.queryByRole('button', { name: 'Redraw with the newer engine' })).toBeNull();
  });

  test.each([
    ['Redraw with the newer engine', 'POST /api/v1/takes/{id}/redraw', '/takes/new'],
    ['2 × as large', 'POST /api/v1/takes/{id}/enlarge', '/takes/new'],
    ['As a new mix', 'POST /api/v1/takes/{id}/mix', '/bench/new'],
  ])('%s is asked for and shown', async (name, request, to) => {
    const asked = onwards(take({ olderEngine: true }), { [request]: made });
    await press(name);
    expect(await screen.findByTestId('elsewhere')).toHaveTextContent(to);
    await waitFor(() => expect(asked.map((a) => `${a.method} ${a.path}`)).toContain(request));
  });

  test('four more like it, and a reference of it, leave one where one is', async () => {
    const asked = onwards(take(), {
      'POST /api/v1/takes/{id}/more': [made],
      'POST /api/v1/imports/from-take': made,
    });
    await press('Four more like it');
    await press('Make it a reference');
    await waitFor(() => expect(asked.map((a) => a.body)).toEqual([{ count: 4 }, { takeId: 't' }]));
    expect(screen.queryByTestId('elsewhere')).toBeNull();
  });

  test('nothing is made larger than 2048 px', () => {
    onwards(take());
    expect(screen.getByRole('button', { name: '2 × as large' })).toBeEnabled();
    expect(screen.getByRole('button', { name: '4 × as large' })).toBeDisabled();
    expect(screen.getByRole('button', { name: '4 × as large' })).toHaveAttribute(
      'title',
      'more than 2048 px on the longer side',
    );
  });

  test('a refusal leaves one where one is and the buttons ready', async () => {
    onwards(take(), { 'POST /api/v1/takes/{id}/enlarge': 507 });
    await press('2 × as large');
    expect(await screen.findByText('No: 507')).toBeVisible();
    expect(screen.getByRole('button', { name: '2 × as large' })).toBeEnabled();
    expect(screen.queryByTestId('elsewhere')).toBeNull();
  });
});

test('whoever chooses a point of a take sees the take alone, until what is said about it was sent', async () => {
  const own = take({ control: { id: 'c', pictureUrl: '/control' } as Take['control'] });
  view(own, { 'GET /api/v1/comments': [], 'POST /api/v1/comments': { id: 'x' } });
  const press = async (name: string) => userEvent.click(await screen.findByRole('button', { name }));
  expect(await screen.findByAltText('Control')).toBeInTheDocument();
  await press('About a point');
  expect(screen.queryByAltText('Control')).toBeNull();
  await userEvent.keyboard('{Enter}');
  expect(await screen.findByRole('button', { name: 'About the whole picture instead' })).toBeVisible();
  expect(screen.queryByAltText('Control')).toBeNull();
  await press('About the whole picture instead');
  expect(await screen.findByAltText('Control')).toBeInTheDocument();
});
