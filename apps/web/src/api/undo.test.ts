import { remember, stepBack } from './undo';

test('changes are undone in their order and done again; a new change ends what could be done again', async () => {
  const log: string[] = [];
  const change = (name: string) => {
    const toggle = (undone: boolean) => () => {
      log.push(`${undone ? 'undo' : 'redo'} ${name}`);
      return Promise.resolve(toggle(!undone));
    };
    remember(toggle(true));
  };
  expect(await stepBack()).toBe(false);
  change('a');
  change('b');
  await stepBack();
  await stepBack();
  await stepBack(true);
  expect(log).toEqual(['undo b', 'undo a', 'redo a']);
  change('c');
  expect(await stepBack(true)).toBe(false);
  await stepBack();
  expect(log[log.length - 1]).toBe('undo c');
});
