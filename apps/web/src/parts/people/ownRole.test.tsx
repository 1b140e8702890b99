import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { useQueryClient } from '@tanstack/react-query';
import { keys } from '../../api/keys';
import { documentOf } from '../../shared/save/documents';
import { Withheld, type Port } from '../../shared/save/saveQueue';
import { answers, show } from '../../test/page';
import { StudioStatus } from '../StudioStatus';

const me = (role: string) => ({
  alone: false,
  hasOwner: true,
  person: { id: 'i', name: 'Ilse', role, mayExport: false },
});

function Changes() {
  const client = useQueryClient();
  return (
    <>
      {['viewer', 'editor'].map((role) => (
        <button key={role} onClick={() => client.setQueryData(keys.me, me(role))}>
          {role}
        </button>
      ))}
    </>
  );
}
const become = (role: string) => fireEvent.click(screen.getByRole('button', { name: role }));

let allowed = true;
let written: string[] = [];
const port: Port<{ prompt: string }> = {
  send: (change, version) => {
    if (!allowed) return Promise.reject(new Withheld('As a viewer you may not change anything here.'));
    written.push(change.prompt!);
    return Promise.resolve({ state: { prompt: change.prompt! }, version: version + 1 });
  },
};
const mixOf = (name: string) => documentOf(name, { state: { prompt: '' }, version: 1 }, port);
const status = async () => {
  written = [];
  answers({ 'GET /api/v1/me': me('editor'), 'GET /api/v1/studio': {} });
  show(
    <>
      <Changes />
      <StudioStatus />
    </>,
  );
  // who one is comes from the studio first
  await act(() => new Promise((done) => setTimeout(done, 20)));
};

test('a role that is taken away while one types is said at once; what was typed is kept, and saved when it is back', async () => {
  await status();
  allowed = false;
  become('viewer');
  expect(
    await screen.findByText('Your role is viewer now. Sees the library and the projects, and changes nothing.'),
  ).toBeVisible();
  const mix = mixOf('mix kept');
  act(() => mix.change(() => ({ prompt: 'a quay' })));
  expect(await screen.findByText(/As a viewer you may not change anything here\./)).toBeVisible();
  expect(mix.view().state.prompt).toBe('a quay');
  allowed = true;
  become('editor');
  await waitFor(() => expect(written).toEqual(['a quay']));
  await waitFor(() => expect(screen.queryByText(/As a viewer/)).toBeNull());
});

test('it can be given up instead', async () => {
  await status();
  allowed = false;
  become('viewer');
  const mix = mixOf('mix given up');
  act(() => mix.change(() => ({ prompt: 'a barn' })));
  fireEvent.click(await screen.findByRole('button', { name: 'Give them up' }));
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Give them up' })).toBeNull());
  expect(mix.view()).toMatchObject({ saved: true, state: { prompt: '' } });
  expect(written).toEqual([]);
});

test('the role that one had when the page opened is no news', async () => {
  await status();
  expect(screen.queryByText(/Your role is/)).toBeNull();
});
