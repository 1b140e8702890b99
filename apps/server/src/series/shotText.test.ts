import { Problem } from '../platform/problems/problem';
import { shotsOfText } from './shotText';

const plain = (text: string) => shotsOfText(text).map(({ title, prompt }) => [title, prompt]);
const refusal = (text: string): string => {
  try {
    shotsOfText(text);
  } catch (e) {
    return JSON.stringify((e as Problem).getResponse?.() ?? e);
  }
  return 'not refused';
};

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
  expect(refusal('\n \n')).toContain('no prompt');
  expect(refusal('prompt,seed\na cat,minus one')).toContain('Row 2');
  expect(refusal('prompt,seed\na cat,-1')).toContain('no whole number');
  expect(refusal(`a cat\n${'x'.repeat(2001)}`)).toContain('Line 2');
  expect(refusal(Array.from({ length: 121 }, (_, k) => `shot ${k}`).join('\n'))).toContain('at most 120');
});
