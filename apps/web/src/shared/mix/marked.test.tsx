import { screen, waitFor } from '@testing-library/react';
import { answers, show } from '../../test/page';
import { Marked } from './Marked';

test('what is understood is strong with its meaning, what is not is underlined, nothing is lost', () => {
  answers({ 'GET /api/v1/cast': [] });
  const { container } = show(<Marked prompt="a zorblax and a fox in the harbour" />);
  expect(container).toHaveTextContent('a zorblax and a fox in the harbour');
  expect(screen.getByText('zorblax')).toHaveAttribute('title', 'The painter does not know this word');
  expect(screen.getByText(/fox/)).toHaveAttribute('title', expect.stringContaining('creature: fox'));
});

test('a name of the cast is somebody, whatever the painter knows', async () => {
  answers({ 'GET /api/v1/cast': [{ id: 'c', name: 'Runa', items: [{ referenceId: 'r', slot: 'front' }] }] });
  const { container } = show(<Marked prompt="Runa waves" />);
  await waitFor(() => expect(screen.getByText('Runa')).toHaveClass('decoration-character'));
  expect(container).toHaveTextContent('Runa waves');
});
