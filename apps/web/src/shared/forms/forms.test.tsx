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
  test('saves each key at once, a drag at its end only', () => {
    const onSave = jest.fn();
    show(<Slider label="Sharpen" value={0.2} min={0} max={1} step={0.05} onSave={onSave} />);
    const slider = screen.getByLabelText('Sharpen');
    fireEvent.change(slider, { target: { value: '0.25' } });
    expect(onSave).toHaveBeenLastCalledWith(0.25);
    fireEvent.pointerDown(slider);
    for (const value of ['0.4', '0.6', '0.7']) fireEvent.change(slider, { target: { value } });
    expect(onSave).toHaveBeenCalledTimes(1);
    expect(slider).toHaveValue('0.7');
    fireEvent.pointerUp(slider);
    expect(onSave).toHaveBeenCalledTimes(2);
    expect(onSave).toHaveBeenLastCalledWith(0.7);
  });

  test('shows what comes from elsewhere', () => {
    const slider = (value: number) => (
      <Slider label="S" value={value} min={0} max={1} step={0.1} onSave={() => undefined} />
    );
    const { rerender } = show(slider(0.2));
    fireEvent.change(screen.getByLabelText('S'), { target: { value: '0.5' } });
    expect(screen.getByLabelText('S')).toHaveValue('0.5');
    rerender(slider(0.9));
    expect(screen.getByLabelText('S')).toHaveValue('0.9');
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
