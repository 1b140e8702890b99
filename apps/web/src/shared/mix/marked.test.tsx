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

test('what has a meaning that is not drawn is dotted and says why: read off the words, or found in the picture', () => {
  answers({ 'GET /api/v1/cast': [] });
  const found = [{ start: 2, end: 5, text: 'fox', means: 'creature: fox', why: 'It is behind something else.' }];
  show(<Marked prompt="a fox and a girl feeding a hen" notDrawn={found} />);
  expect(screen.getByText('fox')).toHaveAttribute('title', 'Not drawn: It is behind something else.');
  expect(screen.getByText('feeding')).toHaveAttribute('title', 'Not drawn: Drawn as somebody who kneels, not more.');
  expect(screen.getByText('feeding')).toHaveClass('decoration-dotted');
  expect(screen.getByText('hen')).toHaveClass('font-semibold');
});
