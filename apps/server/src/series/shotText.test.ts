import { shotsOfText } from './shotText';

const plain = (text: string) => shotsOfText(text).map(({ title, prompt }) => [title, prompt]);
const refused = (text: string, sentence: string) => expect(() => shotsOfText(text)).toThrow(sentence);

test('a prompt a line; numbers and dots before it are none of it, empty lines are passed over', () => {
  expect(plain('1. a woman on the pier\n\n - two cats\r\n* the mill, at noon\n')).toEqual([
    ['A woman on the pier', 'a woman on the pier'],
    ['Two cats', 'two cats'],
    ['The mill', 'the mill, at noon'],
  ]);
});

test('a title stands before a colon; a time of day does not make one', () => {
  expect(plain('The bag is full: she waves from the pier')).toEqual([['The bag is full', 'she waves from the pier']]);
  expect(plain('3) Evening: the lamp is lit')).toEqual([['Evening', 'the lamp is lit']]);
  expect(plain('at 12:30 on the quay')).toEqual([['At 12:30 on the quay', 'at 12:30 on the quay']]);
});

test.each([
  ['commas', 'title,prompt,seed\nOne,"a cat, a dog",7\n'],
  ['semicolons', 'Title;Prompt;Seed\nOne;a cat, a dog;7\n'],
  ['tabs', 'title\tprompt\tseed\nOne\ta cat, a dog\t7\n'],
  ['a mark of its encoding', '\uFEFFtitle,words,seed\nOne,"a cat, a dog",7'],
])('a table with %s', (_, text) => {
  expect(shotsOfText(text)).toEqual([{ title: 'One', prompt: 'a cat, a dog', notes: undefined, seed: 7 }]);
});

test('a table without titles takes the first words; rows without words are passed over', () => {
  expect(plain('prompt,notes\n"a woman, reading",soft\n,nothing\n')).toEqual([['A woman', 'a woman, reading']]);
});

test('what cannot be used is refused by its line', () => {
  refused('\n \n', 'no prompt');
  refused('prompt,seed\na cat,minus one', 'Row 2');
  refused('prompt,seed\na cat,-1', 'no whole number');
  refused(`a cat\n${'x'.repeat(2001)}`, 'Line 2');
  refused(Array.from({ length: 121 }, (_, k) => `shot ${k}`).join('\n'), 'at most 120');
});
