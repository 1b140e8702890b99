import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { ShownDialog } from './ShownDialog';
import { ShownStrip } from './ShownStrip';

function Opened() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        open
      </button>
      {open && <ShownDialog onClose={() => setOpen(false)} />}
    </>
  );
}

describe('settings in pictures', () => {
  test('a strip names what each of its pictures shows, for eyes and for ears', () => {
    render(<ShownStrip name="strictness" />);
    const strip = screen.getByRole('figure', { name: 'What strictness does' });
    expect(within(strip).getByText('0.5, as usual')).toBeTruthy();
    expect(within(strip).getByText('what gives')).toBeTruthy();
    expect(within(strip).getByRole('img').getAttribute('alt')).toBe(
      'What gives, then the same words at 0; 0.5, as usual; 1',
    );
  });

  test('what needs no reference begins with its first value', () => {
    render(<ShownStrip name="ornateness" />);
    expect(screen.queryByText('what gives')).toBeNull();
  });

  test('what has no pictures shows none', () => {
    const { container } = render(<ShownStrip name="seed" />);
    expect(container.innerHTML).toBe('');
  });

  test('the window tells of lanes, gives and the mix, and is closed by its button or Escape', async () => {
    const user = userEvent.setup();
    render(<Opened />);
    await user.click(screen.getByText('open'));
    const shown = screen.getByRole('dialog', { name: 'What each setting does' });
    for (const [part, least] of [
      ['A lane', 4],
      ['What a lane gives', 12],
      ['The mix', 4],
    ] as const)
      expect(
        within(within(shown).getByRole('region', { name: part })).getAllByRole('figure').length,
      ).toBeGreaterThanOrEqual(least);
    expect(within(shown).getByText(/How strongly it pulls/)).toBeTruthy();
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('dialog')).toBeNull();
    await user.click(screen.getByText('open'));
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
