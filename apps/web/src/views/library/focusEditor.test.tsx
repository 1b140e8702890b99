import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answers, aReference, show, type Asked } from '../../test/page';
import { FocusEditor } from './FocusEditor';

const PREPARATION = { sharpen: 0, cutOut: false, flatten: false };
const WHOLE_SAID = 'Focus: move it with the arrow keys';
let asked: Asked[];
let count = 0;
/** The preparation that was sent last, once the save queue rests. */
const settled = async () => {
  await waitFor(() => expect(sent()).not.toEqual([]));
  return sent().at(-1)!;
};
/** The preparations that were sent. */
const sent = () =>
  asked.filter((a) => a.method === 'PUT').map((a) => (a.body as { preparation: Record<string, unknown> }).preparation);
const editor = (preparation: object = PREPARATION, fields: object = {}) => {
  // each picture has a queue of changes of its own
  const reference = aReference({
    id: `focus-${count++}`,
    preparation: preparation as never,
    width: 400,
    height: 200,
    ...fields,
  });
  asked = answers({
    'PUT /api/v1/references/{id}/preparation': (sentBody: object) => ({
      ...reference,
      ...sentBody,
      version: (sentBody as { version: number }).version + 1,
    }),
    'GET /api/v1/references/{id}/gives': {
      proposedFocus: { left: 0.2, top: 0.1, right: 0.7, bottom: 0.9 },
      faces: [],
      palette: [],
    },
  });
  show(<FocusEditor reference={reference} />);
};
const rest = () => act(() => new Promise((done) => setTimeout(done, 420)));
const BOX = { left: 0.25, top: 0.25, right: 0.75, bottom: 0.75 };

test('it says how much of the picture the engine sees', () => {
  editor({ ...PREPARATION, focus: BOX });
  expect(screen.getByText('The engine sees 200 × 100 px of 400 × 200')).toBeVisible();
});

test('keys move it by a hundredth, with Shift by a five-hundredth, and it is sent once when they rest', async () => {
  editor({ ...PREPARATION, focus: BOX });
  const box = screen.getByRole('button', { name: WHOLE_SAID });
  fireEvent.keyDown(box, { key: 'ArrowRight' });
  fireEvent.keyDown(box, { key: 'ArrowRight' });
  fireEvent.keyDown(box, { key: 'ArrowUp', shiftKey: true });
  expect(sent()).toEqual([]);
  const { left, top, right, bottom } = (await settled()).focus as typeof BOX;
  expect(sent()).toHaveLength(1);
  [left, right, top, bottom].forEach((v, k) => expect(v).toBeCloseTo([0.27, 0.77, 0.248, 0.748][k], 6));
});

test('other keys are left alone', async () => {
  editor({ ...PREPARATION, focus: BOX });
  expect(fireEvent.keyDown(screen.getByRole('button', { name: WHOLE_SAID }), { key: 'x' })).toBe(true);
  await rest();
  expect(sent()).toEqual([]);
});

test('a corner is moved alone', async () => {
  editor({ ...PREPARATION, focus: BOX });
  const [corner] = screen.getAllByRole('button', { name: /^Focus, .*left.*: move it with the arrow keys/ });
  fireEvent.keyDown(corner, { key: 'ArrowLeft' });
  const { left, right, bottom } = (await settled()).focus as typeof BOX;
  expect(left).toBeCloseTo(0.24, 6);
  expect([right, bottom]).toEqual([0.75, 0.75]);
});

test('it is drawn by the pointer, in parts of the picture', async () => {
  editor({ ...PREPARATION, focus: BOX });
  const box = screen.getByRole('button', { name: WHOLE_SAID });
  const frame = box.parentElement!;
  frame.setPointerCapture = jest.fn();
  frame.getBoundingClientRect = () => ({ width: 200, height: 100 }) as DOMRect;
  const pointer = (type: string, clientX: number, clientY: number) =>
    fireEvent(type === 'pointerdown' ? box : frame, new MouseEvent(type, { bubbles: true, clientX, clientY }));
  pointer('pointermove', 90, 90);
  pointer('pointerdown', 100, 50);
  pointer('pointermove', 120, 60);
  pointer('pointerup', 120, 60);
  const { left, top, right, bottom } = (await settled()).focus as typeof BOX;
  [left, top, right, bottom].forEach((v, k) => expect(v).toBeCloseTo([0.35, 0.35, 0.85, 0.85][k], 6));
});

test('what is proposed is taken', async () => {
  editor({ ...PREPARATION, focus: BOX });
  const propose = screen.getByRole('button', { name: 'Propose' });
  await waitFor(() => expect(propose).toBeEnabled());
  await userEvent.click(propose);
  expect((await settled()).focus).toEqual({ left: 0.2, top: 0.1, right: 0.7, bottom: 0.9 });
});

test('the whole picture is no focus', async () => {
  editor({ ...PREPARATION, focus: BOX });
  await userEvent.click(screen.getByRole('button', { name: 'Whole picture' }));
  expect((await settled()).focus).toBeUndefined();
});

test('without a focus the whole picture is no step back', () => {
  editor();
  expect(screen.getByRole('button', { name: 'Whole picture' })).toBeDisabled();
});

test('of a face it is square from the start', () => {
  editor(PREPARATION, { kind: 'face' });
  expect(screen.getByRole('checkbox', { name: 'square' })).toBeChecked();
});

test.each([
  [/plain background/, { cutOut: true, flatten: false, sharpen: 0.35 }],
  [/over white/, { cutOut: false, flatten: true, sharpen: 0.35 }],
])('%s is one thing, the rest stays', async (name, expected) => {
  editor({ ...PREPARATION, sharpen: 0.35 });
  expect(screen.getByText('35 %')).toBeVisible();
  await userEvent.click(screen.getByRole('checkbox', { name }));
  expect(await settled()).toMatchObject(expected);
});
