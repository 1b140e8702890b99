import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { sendMask } from '../../api/trials';
import { useOutlines } from '../../api/sheets';
import { drawableCanvases, pixelsOn } from '../../test/canvas';
import { show } from '../../test/page';
import { fillingsOf, maskImage } from './fillings';
import { MaskPainter } from './MaskPainter';

jest.mock('../../api/trials', () => ({ ...jest.requireActual<object>('../../api/trials'), sendMask: jest.fn() }));
const sent = jest.mocked(sendMask);
jest.mock('../../api/sheets', () => ({ useOutlines: jest.fn(() => ({ data: undefined, isError: false })) }));
const outlined = jest.mocked(useOutlines);
jest.mock('./fillings', () => ({ ...jest.requireActual<object>('./fillings'), maskImage: jest.fn() }));
const loaded = jest.mocked(maskImage);

beforeEach(() => {
  sent.mockReset().mockResolvedValue({ content: 'c'.repeat(64), url: '/mask', covers: 0.1 });
  drawableCanvases();
  jest.spyOn(HTMLCanvasElement.prototype, 'toBlob').mockImplementation(function (this: HTMLCanvasElement, done) {
    // the mask that was made, for the test to look at
    done(Object.assign(new Blob([]), { grey: { data: pixelsOn(this), width: this.width, height: this.height } }));
  });
});

function painter(fields: object = {}) {
  const on = { onSave: jest.fn(), onClear: jest.fn(), onClose: jest.fn() };
  const picture = { url: '/take', alt: 'Ilse on the pier' };
  show(
    <MaskPainter
      title="Where Ilse acts"
      picture={picture}
      aspect={1.5}
      mask={undefined}
      hue="#c03a2b"
      {...on}
      {...fields}
    />,
  );
  const sheet = screen.getByTestId('mask-canvas');
  jest.spyOn(sheet.querySelector('canvas')!, 'getBoundingClientRect').mockReturnValue({
    ...{ left: 0, top: 0, width: 300, height: 200 },
  } as DOMRect);
  return { ...on, sheet };
}
/** The grey mask that was sent last: its size, px, and how bright it is at a place, 0..255. */
function sentMask() {
  const { data, width, height } = (sent.mock.lastCall![0] as Blob & { grey: ImageData }).grey;
  return {
    size: [width, height],
    at: (x: number, y: number) => data[(Math.floor(y * height) * width + Math.floor(x * width)) * 4],
  };
}
const keep = () => userEvent.click(screen.getByRole('button', { name: 'Use this mask' }));
const drag = (sheet: HTMLElement, from: readonly [number, number], to: readonly [number, number]) => {
  const mouse = (type: string, [clientX, clientY]: readonly [number, number]) =>
    fireEvent(sheet, new MouseEvent(type, { bubbles: true, clientX, clientY }));
  mouse('pointerdown', from);
  mouse('pointermove', to);
  mouse('pointerup', to);
};

test('a stroke becomes a grey mask: white where it went, black elsewhere', async () => {
  const { sheet, onSave, onClose } = painter();
  drag(sheet, [60, 100], [240, 100]);
  await keep();
  await waitFor(() => expect(onSave).toHaveBeenCalledWith({ content: 'c'.repeat(64), invert: false, feather: 0.01 }));
  const mask = sentMask();
  expect(mask.size).toEqual([512, 341]);
  expect([mask.at(0.5, 0.5), mask.at(0.5, 0.1), mask.at(0.05, 0.5)]).toEqual([255, 0, 0]);
  expect(onClose).toHaveBeenCalled();
});

test('keys paint too: the brush is moved by arrows while space is held', async () => {
  const { sheet } = painter();
  fireEvent.keyDown(sheet, { key: ' ' });
  for (let k = 0; k < 8; k++) fireEvent.keyDown(sheet, { key: 'ArrowRight' });
  fireEvent.keyUp(sheet, { key: ' ' });
  for (let k = 0; k < 30; k++) fireEvent.keyDown(sheet, { key: 'ArrowDown' });
  await keep();
  const mask = sentMask();
  expect(mask.at(0.5, 0.5)).toBe(255);
  expect(mask.at(0.5, 0.95)).toBe(0);
});

test('the eraser takes away, undo brings it back', async () => {
  const { sheet } = painter();
  await userEvent.click(screen.getByRole('button', { name: 'All of it' }));
  fireEvent.keyDown(sheet, { key: 'e' });
  drag(sheet, [150, 100], [150, 100]);
  fireEvent.keyDown(sheet, { key: 'z', ctrlKey: true });
  await keep();
  expect(sentMask().at(0.5, 0.5)).toBe(255);
});

test('a mask that cannot be kept is told, and the painter stays open', async () => {
  const { sheet, onSave, onClose } = painter();
  sent.mockRejectedValue(new Error('The disk is full.'));
  drag(sheet, [60, 100], [240, 100]);
  await keep();
  expect(await screen.findByText('The disk is full.')).toBeVisible();
  expect(onSave).not.toHaveBeenCalled();
  expect(onClose).not.toHaveBeenCalled();
});

test('a mask that was there can be taken away', async () => {
  const { onClear, onClose } = painter({ mask: { content: 'd'.repeat(64), invert: false, feather: 0.01 } });
  await userEvent.click(screen.getByRole('button', { name: 'Take the mask away' }));
  expect(onClear).toHaveBeenCalled();
  expect(onClose).toHaveBeenCalled();
});

describe('what a take shows', () => {
  const take = { id: 't', figures: [{ name: 'Ilse', box: [0.25, 0.2, 0.5, 0.9] }, { box: [0.3, 0.5, 0.7, 0.9] }] };
  const outlines = [
    { of: 'figure', figure: 0, part: 0.1, content: '1' },
    { of: 'head', figure: 0, part: 0.02, content: '2' },
    { of: 'figure', figure: 1, part: 0.05, content: '3' },
    { of: 'sky', part: 0.4, content: '4' },
  ] as const;

  test('is called by its names, numbers and grounds', () => {
    expect(fillingsOf(outlines, take.figures).map(({ name }) => name)).toEqual([
      'Ilse',
      'Ilse, the head',
      'figure 2',
      'The sky',
    ]);
  });

  test('fills the mask by its true outline, with a hard edge', async () => {
    outlined.mockReturnValue({ data: outlines, isError: false } as never);
    loaded.mockImplementation(() => {
      const mask = document.createElement('canvas');
      [mask.width, mask.height] = [90, 60];
      const c = mask.getContext('2d')!;
      c.fillStyle = '#000';
      c.fillRect(0, 0, 90, 60);
      c.fillStyle = '#fff';
      c.fillRect(45, 0, 45, 60);
      return Promise.resolve(mask as never);
    });
    const { onSave } = painter({ take });
    await userEvent.click(screen.getByRole('button', { name: 'Ilse, the head' }));
    await waitFor(() => expect(loaded).toHaveBeenCalledWith('2'));
    // the outline cuts through the box of whom it is of, and that is meant
    await waitFor(() => expect(screen.getByTestId('mask-cover')).toHaveTextContent('50 %'));
    expect(screen.queryByText(/too tight/)).toBeNull();
    await keep();
    await waitFor(() => expect(onSave).toHaveBeenCalledWith({ content: 'c'.repeat(64), invert: false, feather: 0 }));
    expect([sentMask().at(0.75, 0.5), sentMask().at(0.25, 0.5)]).toEqual([255, 0]);
  });

  test('that cannot be loaded is told', async () => {
    outlined.mockReturnValue({ data: outlines, isError: false } as never);
    loaded.mockRejectedValue(new Error('The outline could not be loaded.'));
    painter({ take });
    await userEvent.click(screen.getByRole('button', { name: 'The sky' }));
    expect(await screen.findByText('The outline could not be loaded.')).toBeVisible();
  });
});
