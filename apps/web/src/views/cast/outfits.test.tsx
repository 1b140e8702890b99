import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Character, Outfit, Trait } from '../../api/sheets';
import { answers, aReference, show } from '../../test/page';
import { HeightLine } from './HeightLine';
import { Outfits } from './Outfits';

const COAT: Outfit = { id: 'coat', name: 'winter coat', wears: 'a green coat', pictures: ['r'] };
const DRESS: Outfit = { id: 'dress', name: 'Sunday dress', wears: '', pictures: [] };

function outfits(...of: Outfit[]) {
  const onChange = jest.fn<void, [Outfit[]]>();
  answers({ 'GET /api/v1/references': [aReference({ id: 'r', title: 'Runa in snow' })] });
  show(<Outfits name="Runa" outfits={of} onChange={onChange} />);
  return onChange;
}

describe('outfits', () => {
  test('without any it is said what they are for; a new one gets a name that is free', async () => {
    const onChange = outfits();
    expect(screen.getByText(/as in “Runa in the winter coat”/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'New outfit' }));
    expect(onChange).toHaveBeenLastCalledWith([
      { id: expect.any(String) as string, name: 'outfit 1', wears: '', pictures: [] },
    ]);
  });

  test('a new name never meets that of another', async () => {
    const onChange = outfits({ ...DRESS, name: 'Outfit 2' });
    await userEvent.click(screen.getByRole('button', { name: 'New outfit' }));
    expect(onChange.mock.lastCall![0].at(-1)!.name).toBe('outfit 3');
  });

  test('it is told how one is called', () => {
    outfits(COAT, DRESS);
    expect(screen.getByText('Call one by its name: “Runa in the winter coat”.')).toBeVisible();
  });

  test('names and words are kept as they are typed; a name that is taken, or none, is not', () => {
    const onChange = outfits(COAT, DRESS);
    const [name] = screen.getAllByLabelText('Name of the outfit');
    for (const bad of ['', '  ', 'sunday dress', '7']) fireEvent.change(name, { target: { value: bad } });
    expect(onChange).not.toHaveBeenCalled();
    fireEvent.change(name, { target: { value: 'storm coat ' } });
    expect(onChange).toHaveBeenLastCalledWith([{ ...COAT, name: 'storm coat' }, DRESS]);
    fireEvent.change(screen.getByLabelText('What Sunday dress is, in words'), { target: { value: 'a white dress' } });
    expect(onChange).toHaveBeenLastCalledWith([COAT, { ...DRESS, wears: 'a white dress' }]);
  });

  test('words for which nothing is drawn are told', () => {
    outfits({ ...COAT, wears: 'a green coat with zorblax' });
    expect(screen.getByText('Not drawn: zorblax.')).toBeVisible();
  });

  test('a picture is taken out of an outfit, and a whole outfit is removed', async () => {
    const onChange = outfits(COAT, DRESS);
    await userEvent.click(await screen.findByRole('button', { name: 'Remove Runa in snow from winter coat' }));
    expect(onChange).toHaveBeenLastCalledWith([{ ...COAT, pictures: [] }, DRESS]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove winter coat' }));
    expect(onChange).toHaveBeenLastCalledWith([DRESS]);
  });
});

describe('the height', () => {
  const somebody = (id: string, height: number, fields: Partial<Character> = {}): Character =>
    ({ id, name: id, species: 'person', height, corrected: [], items: [], outfits: [], ...fields }) as never;
  const BEARD: Trait = { name: 'beard', choice: 'yes' };

  function line(own: Character, ...others: Character[]) {
    const onCorrect = jest.fn<void, [Trait[]]>();
    show(<HeightLine character={own} cast={[own, ...others]} onCorrect={onCorrect} />);
    return onCorrect;
  }

  test('the whole cast stands side by side, each as tall as it is', () => {
    line(somebody('Runa', 0.9), somebody('Bo', 0.6), somebody('Fips', 0.1, { species: 'mouse' }));
    const picture = screen.getByRole('img', { name: 'How tall the cast is: Runa 0.90, Bo 0.60, Fips 0.10' });
    const scales = [...picture.querySelectorAll('path')].map(
      (p) => p.getAttribute('transform')!.match(/scale\(\S+ (\S+)\)/)![1],
    );
    expect(scales).toEqual(['0.9', '0.6', '0.1']);
  });

  test('it is set beside what else was corrected, and let go again', async () => {
    const onCorrect = line(somebody('Runa', 0.9, { corrected: [BEARD] }));
    fireEvent.keyDown(screen.getByLabelText('Height of Runa'), { key: 'ArrowRight' });
    expect(onCorrect).toHaveBeenLastCalledWith([BEARD, { name: 'height', number: expect.closeTo(0.92, 5) as number }]);
    await userEvent.click(screen.getByRole('button', { name: 'Hold the height as it is' }));
    expect(onCorrect).toHaveBeenLastCalledWith([BEARD, { name: 'height', number: 0.9 }]);
    document.body.innerHTML = '';
    const free = line(somebody('Runa', 1.2, { corrected: [{ name: 'height', number: 1.2, locked: true }, BEARD] }));
    await userEvent.click(screen.getByRole('button', { name: 'Let the height follow the description again' }));
    expect(free).toHaveBeenLastCalledWith([BEARD]);
  });

  test('a creature is as tall as its kind', () => {
    line(somebody('Fips', 0.1, { species: 'mouse' }));
    expect(screen.queryByRole('slider')).toBeNull();
    expect(screen.getByText('0.10')).toBeVisible();
  });
});
