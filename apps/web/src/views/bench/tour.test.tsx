import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Tour } from './Tour';

const title = () => screen.getByRole('heading').textContent;

test('the tour goes through the parts by Enter alone, back too, and ends', async () => {
  const done = jest.fn();
  const user = userEvent.setup();
  render(
    <main>
      <button type="button" data-main="The prompt">
        a mill
      </button>
      <Tour onDone={done} />
    </main>,
  );
  expect(title()).toBe('The prompt');
  await user.keyboard('{Enter}');
  expect(title()).toBe('The tray');
  await user.click(screen.getByRole('button', { name: 'Back' }));
  expect(title()).toBe('The prompt');
  for (let k = 0; k < 6; k++) await user.click(screen.getByRole('button', { name: 'Next' }));
  expect(title()).toBe('How far it came');
  expect(done).not.toHaveBeenCalled();
  await user.click(screen.getByRole('button', { name: 'Done' }));
  expect(done).toHaveBeenCalledTimes(1);
});

test('Escape ends it', async () => {
  const done = jest.fn();
  render(<Tour onDone={done} />);
  await userEvent.keyboard('{Escape}');
  expect(done).toHaveBeenCalled();
});
