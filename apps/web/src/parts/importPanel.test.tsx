import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, show } from '../test/page';
import { ImportPanel } from './ImportPanel';
import { ImportProvider, useImports, type ImportFile } from './imports';
import { UploadQueue } from './uploadQueue';

const file = (fields: Partial<ImportFile>): ImportFile =>
  ({ id: 'f', name: 'quay.png', state: 'done', version: 1, ...fields }) as ImportFile;
const twin = { sourceUrl: '/old', title: 'The quay' };

let added: jest.SpyInstance;
beforeEach(() => {
  jest.spyOn(UploadQueue.prototype, 'resume').mockResolvedValue();
  added = jest.spyOn(UploadQueue.prototype, 'add').mockResolvedValue();
});

const Chooser = () => <button onClick={useImports().choose}>Add pictures</button>;
function panel(files: readonly ImportFile[], more: Record<string, unknown> = {}) {
  const asked = answers({ 'GET /api/v1/imports': files, ...more });
  show(
    <ImportProvider>
      <Chooser />
      <ImportPanel />
    </ImportProvider>,
  );
  return asked;
}

describe('pictures on their way in', () => {
  test('nothing on its way shows nothing', () => {
    panel([]);
    expect(screen.queryByRole('region', { name: 'Pictures on their way in' })).toBeNull();
  });

  test('says how far it is, in words and in numbers', async () => {
    panel([file({ id: 'a' }), file({ id: 'b', state: 'reading' }), file({ id: 'c', state: 'waiting' })]);
    expect(await screen.findByText('Adding 1 of 3')).toBeVisible();
    const bar = screen.getByRole('progressbar', { name: 'Added' });
    expect([bar.getAttribute('aria-valuenow'), bar.getAttribute('aria-valuemax')]).toEqual(['1', '3']);
    expect(screen.queryByRole('button', { name: 'Close' })).toBeNull();
  });

  test('when all are in it says how many, and is closed', async () => {
    const asked = panel([file({ id: 'a' }), file({ id: 'b', state: 'skipped' })], {
      'POST /api/v1/imports/clear': {},
    });
    expect(await screen.findByText('2 added')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(asked.some((a) => a.path === '/api/v1/imports/clear')).toBe(true));
  });

  test('what was refused and what was repaired stand there with their reasons', async () => {
    panel([
      file({ id: 'a', name: 'letter.pdf', state: 'refused', reason: 'It is no picture.' }),
      file({ id: 'b', name: 'torn.jpg', reason: 'The lower third could not be read.' }),
      file({ id: 'c', name: 'whole.png' }),
    ]);
    const told = within(await screen.findByRole('list', { name: 'Refused or repaired' })).getAllByRole('listitem');
    expect(told.map((li) => li.textContent)).toEqual([
      'letter.pdfIt is no picture.',
      'torn.jpgThe lower third could not be read.',
    ]);
  });

  test('a picture that may be here already is decided beside the one that it is like', async () => {
    const asked = panel(
      [
        file({
          id: 'q',
          name: 'again.png',
          state: 'question',
          fileUrl: '/new',
          twin,
          twinIs: 'nearly the same',
        } as never),
      ],
      { 'POST /api/v1/imports/decide': {} },
    );
    expect(await screen.findByText('One possible duplicate')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Decide' }));
    expect(screen.getByAltText('again.png, new')).toHaveAttribute('src', '/new');
    expect(screen.getByAltText('The quay, in the library')).toHaveAttribute('src', '/old');
    await userEvent.click(screen.getByRole('button', { name: 'Keep both' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ ids: ['q'], decision: 'keep both' }),
    );
  });

  test('equal files are skipped together', async () => {
    const same = ['a', 'b'].map((id) => file({ id, state: 'question', twin, twinIs: 'the same file' } as never));
    const asked = panel([...same, file({ id: 'n', state: 'question', twin, twinIs: 'nearly the same' } as never)], {
      'POST /api/v1/imports/decide': {},
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Decide' }));
    await userEvent.click(screen.getByRole('button', { name: 'Skip the 2 equal files' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toEqual({ ids: ['a', 'b'], decision: 'skip' }),
    );
  });

  test('a decision that the studio refuses is told', async () => {
    panel([file({ id: 'q', state: 'question', twin, twinIs: 'nearly the same' } as never)], {
      'POST /api/v1/imports/decide': 409,
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Decide' }));
    await userEvent.click(screen.getByRole('button', { name: 'Skip the new one' }));
    expect(await screen.findByText('No: 409')).toBeInTheDocument();
  });

  test('pictures are pasted anywhere; text is not taken for one', () => {
    panel([]);
    const picture = new File(['x'], 'pasted.png', { type: 'image/png' });
    const text = new File(['x'], 'note.txt', { type: 'text/plain' });
    const paste = (files: readonly File[]) => fireEvent.paste(window, { clipboardData: { files } });
    paste([text]);
    expect(added).not.toHaveBeenCalled();
    paste([text, picture]);
    expect(added).toHaveBeenCalledWith([picture]);
  });
});
