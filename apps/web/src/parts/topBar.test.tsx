import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, show } from '../test/page';
import { documentOf } from '../shared/save/documents';
import { Stale, type Port } from '../shared/save/saveQueue';
import { StudioStatus } from './StudioStatus';
import { TopBar } from './TopBar';

const studio = (fields: object = {}) => ({
  'GET /api/v1/studio': { name: 'Tidepost', demo: { done: 75, total: 75 }, queue: [], unread: 0, ...fields },
  'GET /api/v1/jobs/troubled': [],
  'GET /api/v1/projects': [{ id: 'book', name: 'The book', archived: false }],
});

describe('the bar above every view', () => {
  test('says where one is', async () => {
    answers(studio());
    show(<TopBar />, { at: '/bench/m' });
    expect(await screen.findByRole('button', { name: 'Project: The book' })).toBeVisible();
    expect(screen.getByRole('link', { name: 'Bench' })).toHaveAttribute('aria-current', 'page');
    expect(screen.getByRole('link', { name: 'Series' })).not.toHaveAttribute('aria-current');
    expect(screen.queryByRole('status')).toBeNull();
  });

  test.each([
    [{ demo: { done: 12, total: 75 }, queue: ['a'] }, 'Drawing the demo studio, 12 of 75'],
    [{ queue: ['a'] }, '1 take queued'],
    [{ queue: ['a', 'b', 'c'], unread: 4, secondsLeft: 41 }, '3 takes queued, about 40 s'],
    [{ queue: ['a'], secondsLeft: 1 }, '1 take queued, about 5 s'],
    [{ queue: ['a', 'b'], secondsLeft: 290 }, '2 takes queued, about 5 min'],
    [{ unread: 4 }, 'Looking at 4 pictures'],
    [{ unread: 1 }, 'Looking at 1 picture'],
  ])('says what the studio does: %#', async (fields, text) => {
    answers(studio(fields));
    show(<TopBar />);
    expect(await screen.findByText(text)).toBeVisible();
  });

  test('the question mark opens all shortcuts, each with what it does', async () => {
    answers(studio());
    show(<TopBar />);
    await userEvent.keyboard('?');
    const dialog = within(await screen.findByRole('dialog', { name: 'What you can do here' }));
    expect(dialog.getByText('Ctrl + Enter').nextSibling).toHaveTextContent(
      'bench: render a proof; series: render what changed',
    );
    await userEvent.click(dialog.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  describe('what can be done now is found by typing', () => {
    async function page() {
      answers(studio());
      const done = jest.fn();
      show(
        <>
          <TopBar />
          <section aria-label="Marks">
            <button type="button" aria-keyshortcuts="K" onClick={() => done('kept')}>
              Keeper
            </button>
            <textarea aria-label="Note" />
          </section>
        </>,
      );
      await userEvent.keyboard('?');
      const field = await screen.findByRole('combobox', { name: 'Find what you can do' });
      const names = () => screen.getAllByRole('option').map((option) => option.textContent);
      return { done, field, names };
    }

    test('with the part of the page and the key beside it; Enter does it once the window is gone', async () => {
      const { done, field, names } = await page();
      expect(field).toHaveFocus();
      await userEvent.type(field, 'mark keep');
      expect(names()).toEqual(['KeeperMarksK']);
      await userEvent.keyboard('{Enter}');
      await waitFor(() => expect(done).toHaveBeenCalledWith('kept'));
      expect(screen.queryByRole('dialog')).toBeNull();
      expect(screen.getByRole('button', { name: 'Keeper' })).toHaveFocus();
    });

    test('arrows go around what is found, and a field only gets the focus', async () => {
      const { done, field, names } = await page();
      await userEvent.type(field, 'marks');
      expect(names()).toHaveLength(2);
      const chosen = () => screen.getByRole('option', { selected: true }).textContent;
      await userEvent.keyboard('{ArrowDown}');
      expect(chosen()).toBe('NoteMarks');
      expect(field).toHaveAttribute('aria-activedescendant', screen.getByRole('option', { selected: true }).id);
      await userEvent.keyboard('{ArrowDown}');
      expect(chosen()).toBe('KeeperMarksK');
      await userEvent.keyboard('{ArrowUp}{Enter}');
      await waitFor(() => expect(screen.getByLabelText('Note')).toHaveFocus());
      expect(done).not.toHaveBeenCalled();
    });

    test('shortcuts are found by the same words, and what nobody calls so is said', async () => {
      const { field } = await page();
      await userEvent.type(field, 'eraser');
      expect(screen.getByText(/Nothing on this page is called so/)).toBeVisible();
      expect(screen.getAllByRole('definition')).toHaveLength(1);
    });
  });
});

interface Words {
  readonly prompt: string;
}

describe('what has to be known in whatever view', () => {
  test('nothing is said while all is well', async () => {
    const asked = answers(studio());
    show(<StudioStatus />);
    await waitFor(() => expect(asked).not.toHaveLength(0));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('a full disk', async () => {
    answers(studio({ waitsForRoom: true }));
    show(<StudioStatus />);
    expect(await screen.findByRole('alert')).toHaveTextContent('The disk is full. Nothing is lost');
  });

  test('what was changed in two windows is asked, and the answer is what is saved', async () => {
    answers(studio());
    const sent: Partial<Words>[] = [];
    let there = { state: { prompt: 'theirs' }, version: 2 };
    const port: Port<Words> = {
      send: (change, basedOn) => {
        if (basedOn < there.version) return Promise.reject(new Stale(there));
        sent.push(change);
        there = { state: { ...there.state, ...change }, version: basedOn + 1 };
        return Promise.resolve(there);
      },
    };
    const queue = documentOf<Words>('mix of two windows', { state: { prompt: 'before' }, version: 1 }, port);
    queue.change(() => ({ prompt: 'mine' }));
    show(<StudioStatus />);
    const question = within(await screen.findByRole('region', { name: 'Changed twice' }));
    expect(question.getByText(/“theirs” there, “mine” here/)).toBeVisible();
    await userEvent.click(question.getByRole('button', { name: 'Keep mine' }));
    await waitFor(() => expect(sent).toEqual([{ prompt: 'mine' }]));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });

  test('what could not be sent says why, and that it is kept', async () => {
    answers(studio());
    let down = true;
    const port: Port<Words> = {
      send: (change, basedOn) =>
        down
          ? Promise.reject(new Error('The studio does not answer.'))
          : Promise.resolve({ state: { prompt: 'before', ...change }, version: basedOn + 1 }),
    };
    const queue = documentOf<Words>('mix without a line', { state: { prompt: 'before' }, version: 1 }, port);
    queue.change(() => ({ prompt: 'mine' }));
    show(<StudioStatus />);
    expect(await screen.findByRole('alert')).toHaveTextContent('Your changes are kept in this browser');
    down = false;
    await queue.flush();
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});
