import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../../test/page';
import { Editable } from './Editable';
import { NumberField } from './NumberField';
import { Slider } from './Slider';
import { TextField } from './TextField';

describe('a number field', () => {
  const field = (value = 0.5) => {
    const onSave = jest.fn();
    show(<NumberField label="Weight" value={value} min={0} max={2} step={0.1} digits={2} onSave={onSave} />);
    return { onSave, input: screen.getByLabelText('Weight') };
  };

  test('takes a typed number on Enter and when it is left, with a comma too', async () => {
    const { onSave, input } = field();
    await userEvent.type(input, '{Control>}a{/Control}1,25{Enter}');
    expect(onSave).toHaveBeenLastCalledWith(1.25);
    await userEvent.clear(input);
    await userEvent.type(input, '0.75');
    await userEvent.tab();
    expect(onSave).toHaveBeenLastCalledWith(0.75);
  });

  test('keeps what was there for what is no number, out of range or nothing; Escape takes back', async () => {
    const { onSave, input } = field();
    for (const text of ['much', '7', '-1']) {
      await userEvent.clear(input);
      await userEvent.type(input, `${text}{Enter}`);
      expect(input).toHaveValue('0.50');
    }
    await userEvent.clear(input);
    await userEvent.tab();
    await userEvent.type(input, '1.5{Escape}');
    await userEvent.tab();
    expect(onSave).not.toHaveBeenCalled();
  });

  test('arrow keys step, finely with Shift, and end at the range', async () => {
    const { onSave, input } = field(1.95);
    await userEvent.type(input, '{ArrowUp}');
    expect(onSave).toHaveBeenLastCalledWith(2);
    await userEvent.type(input, '{Shift>}{ArrowDown}{/Shift}');
    expect(onSave).toHaveBeenLastCalledWith(1.93);
  });
});

describe('a slider', () => {
  const slider = (fields: Partial<Parameters<typeof Slider>[0]> = {}) => (
    <Slider label="Sharpen" value={0.2} min={0} max={1} step={0.05} {...fields} />
  );
  const thumb = () => screen.getByRole('slider', { name: 'Sharpen' });
  /** Drags over a track of 100 px; jsdom lays nothing out. */
  function drag(root: Element, from: number, ...to: readonly number[]) {
    root.getBoundingClientRect = () => ({ left: 0, width: 100, right: 100, top: 0, height: 20 }) as DOMRect;
    (root as HTMLElement).hasPointerCapture = () => true;
    const at = (type: string, x: number) =>
      fireEvent(root, new MouseEvent(type, { bubbles: true, cancelable: true, clientX: x, button: 0 }));
    at('pointerdown', from);
    to.forEach((x) => at('pointermove', x));
    return () => at('pointerup', to.at(-1) ?? from);
  }

  test('saves each key at once, as many steps as it stands for', async () => {
    const onSave = jest.fn();
    show(slider({ onSave }));
    thumb().focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(onSave).toHaveBeenLastCalledWith(0.25);
    await userEvent.keyboard('{End}');
    expect(onSave).toHaveBeenLastCalledWith(1);
    expect(thumb()).toHaveAttribute('aria-valuenow', '1');
  });

  test('saves a drag at its end only, and tells each value on the way', () => {
    const [onSave, onMove] = [jest.fn(), jest.fn()];
    const { container } = show(slider({ onSave, onMove }));
    const letGo = drag(container.querySelector('[data-orientation]')!, 20, 40, 60, 70);
    expect(onMove).toHaveBeenLastCalledWith(0.7);
    expect(onSave).not.toHaveBeenCalled();
    expect(thumb()).toHaveAttribute('aria-valuenow', '0.7');
    letGo();
    expect(onSave.mock.calls).toEqual([[0.7]]);
  });

  test('a drag that the system takes away is saved as far as it came', () => {
    const onSave = jest.fn();
    const { container } = show(slider({ onSave }));
    const root = container.querySelector('[data-orientation]')!;
    drag(root, 20, 55);
    fireEvent.pointerCancel(root);
    expect(onSave).toHaveBeenCalledWith(0.55);
  });

  test('shows what comes from elsewhere, also when that is what was there before', async () => {
    const { rerender } = show(slider());
    thumb().focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(thumb()).toHaveAttribute('aria-valuenow', '0.25');
    rerender(slider({ value: 0.25 }));
    rerender(slider({ value: 0.2 }));
    expect(thumb()).toHaveAttribute('aria-valuenow', '0.2');
  });

  test('says its value in words, and lets others have a key first', async () => {
    const onSave = jest.fn();
    show(slider({ onSave, say: (v) => `${v * 100} %`, onKeyDown: (e) => e.altKey && e.preventDefault() }));
    expect(thumb()).toHaveAttribute('aria-valuetext', '20 %');
    thumb().focus();
    await userEvent.keyboard('{Alt>}{ArrowRight}{/Alt}');
    expect(onSave).not.toHaveBeenCalled();
  });
});

describe('a text field', () => {
  test('saves while it is typed and shows what comes from elsewhere when nobody types', async () => {
    const onSave = jest.fn();
    const text = (value: string) => <TextField label="Title" value={value} most={20} onSave={onSave} />;
    const { rerender } = show(text('Quay'));
    const input = screen.getByLabelText('Title');
    await userEvent.type(input, ' 2');
    expect(onSave.mock.calls.map(([t]) => t as string)).toEqual(['Quay ', 'Quay 2']);
    rerender(text('Pier'));
    expect(input).toHaveValue('Quay 2');
    await userEvent.tab();
    expect(input).toHaveValue('Pier');
  });

  test('a title is saved without blanks around it, and Enter leaves it', async () => {
    const onSave = jest.fn();
    show(<Editable label="Title" value="Quay" onSave={onSave} />);
    const input = screen.getByLabelText('Title');
    await userEvent.type(input, ' at dusk {Enter}');
    expect(onSave).toHaveBeenLastCalledWith('Quay at dusk');
    expect(input).not.toHaveFocus();
  });
});
