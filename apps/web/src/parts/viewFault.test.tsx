import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, Outlet, RouterProvider } from 'react-router';
import { EmptyState } from './EmptyState';
import { useTitle } from './useTitle';
import { ViewFault } from './ViewFault';

let broken = true;
function Fragile() {
  if (broken) throw new Error('the picture has no size');
  return <p>all is well</p>;
}

function open(path = '/fragile') {
  const router = createMemoryRouter(
    [
      {
        element: (
          <>
            <nav>the bar above</nav>
            <Outlet />
          </>
        ),
        children: [
          {
            ErrorBoundary: ViewFault,
            children: [
              { path: 'fragile', element: <Fragile /> },
              { path: 'library', element: <p>the library</p> },
              {
                path: 'unloaded',
                lazy: () => Promise.reject(new Error('Failed to fetch dynamically imported module')),
              },
            ],
          },
        ],
      },
    ],
    { initialEntries: [path] },
  );
  render(<RouterProvider router={router} />);
}

beforeEach(() => {
  broken = true;
  jest.spyOn(console, 'error').mockImplementation(() => {});
});

test('a view that fails says what happened and what is safe, and leaves the rest standing', async () => {
  open();
  expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent('This view could not be shown');
  expect(screen.getByRole('alert')).toHaveTextContent('the picture has no size');
  expect(screen.getByRole('alert')).toHaveTextContent('Nothing is lost');
  expect(screen.getByText('the bar above')).toBeVisible();
  expect(document.title).toBe('A fault · Urbild');
});

test('it can be shown again, or left', async () => {
  open();
  await screen.findByRole('alert');
  broken = false;
  await userEvent.click(screen.getByRole('button', { name: 'Show it again' }));
  expect(await screen.findByText('all is well')).toBeVisible();
});

test('another view is reached from it', async () => {
  open();
  await userEvent.click(await screen.findByRole('link', { name: 'To the library' }));
  expect(await screen.findByText('the library')).toBeVisible();
});

test('so does one whose code did not come', async () => {
  open('/unloaded');
  expect(await screen.findByRole('alert')).toHaveTextContent('Failed to fetch');
});

test('a window is named after what it shows', () => {
  function View({ of }: { of?: string }) {
    useTitle('Series', of);
    return null;
  }
  const { rerender } = render(<View />);
  expect(document.title).toBe('Series · Urbild');
  rerender(<View of="Harbour book" />);
  expect(document.title).toBe('Series: Harbour book · Urbild');
});

test('what fills a whole view has its heading, what fills a part has one below it', () => {
  const { rerender } = render(
    <EmptyState whole title="No look yet">
      A look is a set of pictures.
    </EmptyState>,
  );
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('No look yet');
  rerender(<EmptyState title="No matches">Show everything.</EmptyState>);
  expect(screen.getByRole('heading', { level: 2 })).toHaveTextContent('No matches');
});
