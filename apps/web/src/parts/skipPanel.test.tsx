import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SkipPanel } from './SkipPanel';

const page = (
  <>
    <SkipPanel />
    <nav>
      <a href="#a">elsewhere</a>
    </nav>
    <main>
      <aside aria-label="Tray">
        <button type="button">a picture</button>
        <section aria-label="A part of the tray">
          <button type="button">more</button>
        </section>
      </aside>
      <section aria-label="Nothing to do">only words</section>
      <section aria-label="Table" data-main="The take">
        <button type="button" tabIndex={-1}>
          not by Tab
        </button>
        <button type="button">keep</button>
      </section>
    </main>
  </>
);

test('the first tab stop leads into any part of the view, what it is there for first', async () => {
  const user = userEvent.setup();
  render(page);
  await user.tab();
  const panel = screen.getByRole('group', { name: 'Go to a part of this view' });
  expect(
    within(panel)
      .getAllByRole('button')
      .map((b) => b.textContent),
  ).toEqual(['The take', 'Tray']);
  expect(document.activeElement).toHaveTextContent('The take');
  await user.keyboard('{Enter}');
  expect(document.activeElement).toHaveTextContent('keep');
  await user.tab({ shift: true });
  await user.tab({ shift: true });
  await user.tab({ shift: true });
  await user.tab({ shift: true });
  await user.tab({ shift: true });
  await user.keyboard('{ArrowRight}{Enter}');
  expect(document.activeElement).toHaveTextContent('a picture');
});

test('it is seen while it has the focus, and one more Tab passes it', async () => {
  const user = userEvent.setup();
  render(page);
  const panel = screen.getByRole('group', { name: 'Go to a part of this view' });
  expect(panel).toHaveClass('sr-only');
  await user.tab();
  expect(panel).not.toHaveClass('sr-only');
  await user.tab();
  expect(document.activeElement).toHaveTextContent('elsewhere');
  expect(panel).toHaveClass('sr-only');
});
