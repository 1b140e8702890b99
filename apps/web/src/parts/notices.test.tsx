import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../test/page';
import { useNotice } from './notices';

const run = jest.fn();

function Teller() {
  const tell = useNotice();
  const plain = (text: string) => () => tell(text, { action: { label: 'Bring it back', run } });
  return (
    <>
      <button type="button" onClick={plain('It was archived.')}>
        put away
      </button>
      <button type="button" onClick={() => tell('The studio does not answer.', { grave: true })}>
        fail
      </button>
      {[1, 2, 3, 4, 5].map((n) => (
        <button key={n} type="button" onClick={plain(`Notice ${n}`)}>
          {n}
        </button>
      ))}
    </>
  );
}

let user: ReturnType<typeof userEvent.setup>;
beforeEach(() => {
  jest.useFakeTimers();
  user = userEvent.setup({ advanceTimers: (ms) => jest.advanceTimersByTime(ms) });
  run.mockClear();
  show(<Teller />);
});
afterEach(() => jest.useRealTimers());

const press = (name: string) => user.click(screen.getByRole('button', { name }));
const later = (ms: number) => act(() => void jest.advanceTimersByTime(ms));
/** The notices as they stand; what is only announced is not looked at. */
const told = () => screen.queryAllByRole('listitem').map((li) => li.textContent);

test('what went well comes with what takes it back, and goes when that was done', async () => {
  await press('put away');
  expect(told()).toEqual(['It was archived.Bring it back']);
  await press('Bring it back');
  expect(run).toHaveBeenCalledTimes(1);
  expect(told()).toEqual([]);
});

test('what went well goes by itself', async () => {
  await press('put away');
  later(8000);
  expect(told()).toEqual([]);
});

test('an alert stays until it is closed, and stands once however often it is told', async () => {
  await press('fail');
  await press('fail');
  later(60_000);
  expect(told()).toEqual(['The studio does not answer.']);
  await press('Close the alert');
  expect(told()).toEqual([]);
});

test('where there are too many, what went well gives way first, the oldest before others', async () => {
  await press('fail');
  for (const n of [1, 2, 3, 4, 5]) await press(String(n));
  expect(told().map((t) => t!.replace('Bring it back', ''))).toEqual([
    'The studio does not answer.',
    'Notice 3',
    'Notice 4',
    'Notice 5',
  ]);
});

test('everything is announced', async () => {
  await press('fail');
  later(100);
  expect(screen.getAllByRole('status').some((e) => e.textContent?.includes('The studio does not answer.'))).toBe(true);
});
