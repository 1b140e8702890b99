import { titleOf } from './titleOf';

test.each([
  ['a young woman walking in the harbour at noon', 'A young woman walking in the harbour'],
  ['half figure of a young woman with a lantern in the stilt village at night', 'Half figure of a young woman'],
  ['Ilse poles the punt through the reed channel at dusk', 'Ilse poles the punt'],
  ['Ilse and Brom, on the pier', 'Ilse and Brom'],
  ['the mill', 'The mill'],
  ['in the evening at the mill', 'In the evening at the mill'],
  ['She waves. The boat leaves.', 'She waves'],
  ['  two   geese over\tthe marsh  ', 'Two geese over the marsh'],
  ['école au bord', 'École au bord'],
  ['at 12:30 on the quay', 'At 12:30 on the quay'],
  ['', ''],
])('%s', (prompt, title) => expect(titleOf(prompt)).toBe(title));

test('no title ends in the middle of a phrase or of a word', () => {
  const long = 'a very old and slowly turning windmill with four patched sails in the wide green marsh by the grey sea';
  expect(titleOf(long)).toBe('A very old and slowly turning windmill');
  const name = `${'word '.repeat(40)}end`;
  expect(titleOf(name, 30)).toBe('Word word word word word word');
  expect(titleOf('x'.repeat(200), 50)).toHaveLength(50);
});
