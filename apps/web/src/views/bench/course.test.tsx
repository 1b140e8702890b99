import { DndContext } from '@dnd-kit/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { GIVES } from '@urbild/core';
import { useState } from 'react';
import { AddPictures } from '../../shared/pictures/AddPictures';
import { SolveDialog } from '../../shared/mix/solve/SolveDialog';
import { anInfluence, answers, aReference, aTake, lookup, show } from '../../test/page';
import { ChannelChoice } from './ChannelChoice';
import { Course } from './Course';
import { Handle } from './Handle';
import { Tray } from './Tray';
import type { Change, Edited } from './useBenchMix';

// jsdom has no canvas to draw a chart on
jest.mock('./InfluenceChart', () => ({ InfluenceChart: () => null }));

const mouse = (on: Element, type: string, clientX: number, clientY = 0, more: MouseEventInit = {}) =>
  fireEvent(on, new MouseEvent(type, { bubbles: true, clientX, clientY, ...more }));

describe('something that is dragged along one axis', () => {
  const onChange = jest.fn();
  const onReset = jest.fn();
  beforeEach(() => [onChange, onReset].forEach((f) => f.mockClear()));
  const handle = (vertical = false, value = 0.5) => {
    show(
      <Handle
        label="Start"
        value={value}
        min={0}
        max={0.8}
        step={0.05}
        fine={0.01}
        vertical={vertical}
        text="50 %"
        perPixel={() => 0.01}
        onChange={onChange}
        onReset={onReset}
        className=""
      />,
    );
    return screen.getByRole('slider', { name: 'Start' });
  };

  test.each([
    ['ArrowRight', {}, 0.55],
    ['ArrowUp', {}, 0.55],
    ['ArrowLeft', {}, 0.45],
    ['ArrowDown', { shiftKey: true }, 0.49],
    ['Home', {}, 0],
    ['End', {}, 0.8],
  ])('%s %j goes to %d, and is saved at once', (key, more, to) => {
    fireEvent.keyDown(handle(), { key, ...more });
    expect(onChange).toHaveBeenCalledWith(to, false);
  });

  test('keys end at its ends; with Alt they belong to others', () => {
    const slider = handle(false, 0.78);
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    expect(onChange).toHaveBeenLastCalledWith(0.8, false);
    fireEvent.keyDown(slider, { key: 'ArrowRight', altKey: true });
    expect(onChange).toHaveBeenCalledTimes(1);
  });

  test('a drag is live on its way and saved at its end, never beyond its ends', () => {
    const slider = handle();
    mouse(slider, 'pointermove', 40);
    expect(onChange).not.toHaveBeenCalled();
    mouse(slider, 'pointerdown', 100);
    mouse(slider, 'pointermove', 110);
    expect(onChange).toHaveBeenLastCalledWith(0.6, true);
    mouse(slider, 'pointermove', 400);
    expect(onChange).toHaveBeenLastCalledWith(0.8, true);
    mouse(slider, 'pointerup', 90);
    expect(onChange).toHaveBeenLastCalledWith(0.4, false);
    mouse(slider, 'pointerup', 90);
    expect(onChange).toHaveBeenCalledTimes(3);
  });

  test('one that stands up grows upwards; a double click takes it back', () => {
    const slider = handle(true);
    expect(slider).toHaveAttribute('aria-orientation', 'vertical');
    mouse(slider, 'pointerdown', 0, 100);
    mouse(slider, 'pointermove', 0, 90);
    expect(onChange).toHaveBeenLastCalledWith(0.6, true);
    fireEvent.doubleClick(slider);
    expect(onReset).toHaveBeenCalledTimes(1);
  });
});

describe('the course', () => {
  let now: Edited;
  const live: boolean[] = [];
  function Bench({ influences }: { influences: Edited['influences'] }) {
    const [mix, setMix] = useState<Edited>({
      name: 'Harbour',
      archived: false,
      projectId: 'first',
      prompt: 'a mill',
      avoid: '',
      settings: { aspect: '3:2', seed: 1, balance: 1 },
      influences,
    });
    now = mix;
    const change = (make: Change, going = false) => {
      live.push(going);
      setMix(make(mix));
    };
    return (
      <DndContext>
        <Course mix={mix} lookup={lookup} gives={GIVES} change={change} onRegion={() => {}} onCarried={() => {}} />
      </DndContext>
    );
  }
  const two = [
    anInfluence({ weight: 0.8 }),
    anInfluence({ id: 'b', referenceId: 'gone', weight: 0.4, gives: 'layout' }),
  ];
  const course = (influences = two) => {
    live.length = 0;
    answers({ 'GET /api/v1/takes/worked': [{ referenceId: 'r', low: 0.5, high: 0.9, count: 3 }] });
    show(<Bench influences={influences} />);
  };
  const weight = () => screen.getByRole('slider', { name: 'Carved quay: weight' });

  test('says what to do where nothing is on it', () => {
    course([]);
    expect(screen.getByText(/Drag a picture from the tray into the course/)).toBeVisible();
  });

  test('weights and spans are moved by keys', () => {
    course();
    fireEvent.keyDown(weight(), { key: 'ArrowUp' });
    expect(now.influences[0].weight).toBe(0.85);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Carved quay: end of its span' }), { key: 'ArrowLeft' });
    expect(now.influences[0].to).toBe(0.95);
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Carved quay: start of its span' }), { key: 'End' });
    expect(now.influences[0].from).toBe(0.95);
    expect(live).toEqual([false, false, false]);
  });

  test.each([
    ['e', { from: 0 }],
    ['l', { to: 1 }],
    ['w', { from: 0, to: 1 }],
  ])('%s is a span of its own', (key, span) => {
    course([anInfluence({ from: 0.3, to: 0.6 })]);
    fireEvent.keyDown(weight(), { key });
    expect(now.influences[0]).toMatchObject(span);
    expect([now.influences[0].from, now.influences[0].to]).not.toEqual([0.3, 0.6]);
  });

  test('O switches it off and on, Delete takes it out, with Ctrl nothing happens', () => {
    course();
    fireEvent.keyDown(weight(), { key: 'o' });
    expect(now.influences[0].on).toBe(false);
    fireEvent.keyDown(weight(), { key: 'O' });
    expect(now.influences[0].on).toBe(true);
    fireEvent.keyDown(weight(), { key: 'o', ctrlKey: true });
    expect(now.influences[0].on).toBe(true);
    fireEvent.keyDown(weight(), { key: 'Delete' });
    expect(now.influences.map((i) => i.id)).toEqual(['b']);
  });

  test('S lets it speak alone, and all others again', () => {
    course();
    fireEvent.keyDown(weight(), { key: 's' });
    expect(now.influences.map((i) => i.on)).toEqual([true, false]);
    fireEvent.keyDown(weight(), { key: 's' });
    expect(now.influences.map((i) => i.on)).toEqual([true, true]);
  });

  test('Alt and an arrow move the lane to another place', () => {
    course();
    fireEvent.keyDown(weight(), { key: 'ArrowDown', altKey: true });
    expect(now.influences.map((i) => i.id)).toEqual(['b', 'a']);
  });

  test('what kept takes had is marked on the lane', async () => {
    course();
    expect(await screen.findByTitle('kept takes had it at 0.50 to 0.90 (3)')).toBeInTheDocument();
  });

  test('shares are read off where the pointer rests, and not where it holds something', () => {
    course();
    const band = weight().closest('.relative.mr-4')!.firstElementChild!;
    band.getBoundingClientRect = () => ({ left: 0, width: 200 }) as DOMRect;
    mouse(band, 'pointermove', 100);
    expect(screen.getByText('at 50 %, all channels')).toBeInTheDocument();
    mouse(band, 'pointermove', 500);
    expect(screen.getByText('at 100 %, all channels')).toBeInTheDocument();
    mouse(weight(), 'pointermove', 100);
    expect(screen.queryByText(/all channels$/)).toBeNull();
  });
});

describe('the tray', () => {
  const tray = () => {
    const onAdd = jest.fn();
    const onStart = jest.fn();
    const asked = answers({
      'GET /api/v1/references/search': { ids: [], aspects: [] },
      'GET /api/v1/collections': [
        { id: 'reeds', name: 'Reeds', count: 3, version: 1 },
        { id: 'dusk', name: 'At dusk', search: 'words=dusk', count: 0, version: 1 },
      ],
      'GET /api/v1/references': [aReference()],
      'GET /api/v1/looks': [{ id: 'l', name: 'Ink', items: [{ referenceId: 'r', weight: 1 }], version: 1 }],
      'GET /api/v1/cast': [],
    });
    show(
      <DndContext>
        <Tray gives={GIVES} onAdd={onAdd} onStart={onStart} />
      </DndContext>,
    );
    return { onAdd, onStart, asked };
  };
  test('holds all pictures, those used last, or those of a collection', async () => {
    const { asked } = tray();
    const pile = await screen.findByLabelText('Which pictures');
    const last = () => (asked.filter((a) => a.path.endsWith('/search')).at(-1)?.params as { query: object }).query;
    await userEvent.selectOptions(pile, 'Used last');
    await waitFor(() => expect(last()).toEqual({ used: 'used', sort: 'recent' }));
    expect(await screen.findByText('Nothing has been weighed yet')).toBeVisible();
    await userEvent.selectOptions(pile, await screen.findByRole('option', { name: 'Reeds' }));
    await waitFor(() => expect(last()).toEqual({ collection: 'reeds' }));
    await userEvent.click(screen.getByRole('button', { name: 'Only image pictures' }));
    await userEvent.selectOptions(pile, 'At dusk');
    await waitFor(() => expect(last()).toEqual({ words: 'dusk', kind: 'image' }));
  });
  test('a look is added by Enter or by two clicks, and nothing starts from it', async () => {
    const { onAdd, onStart } = tray();
    await userEvent.click(screen.getByRole('tab', { name: 'Looks' }));
    const chosen = () => screen.getAllByRole('tab', { selected: true }).map((tab) => [tab.textContent, tab.className]);
    expect(chosen()).toEqual([['Looks', expect.stringContaining('border-ink')]]);
    expect(screen.getByRole('tab', { name: 'Cast' }).className).toContain('border-transparent');
    const look = await screen.findByRole('button', { name: 'Ink, style: add to the course' });
    fireEvent.keyDown(look, { key: 'Enter' });
    fireEvent.doubleClick(look);
    fireEvent.keyDown(look, { key: 'Enter', shiftKey: true });
    expect(onStart).not.toHaveBeenCalled();
    expect(onAdd).toHaveBeenCalledTimes(3);
    expect(onAdd.mock.calls[0][0]).toMatchObject({ of: 'look', referenceId: 'l', gives: 'look' });
  });
  test('where there is nobody it says where somebody is made', async () => {
    tray();
    await userEvent.click(screen.getByRole('tab', { name: 'Cast' }));
    expect(screen.getByText('No characters yet. Make a character in Cast.')).toBeVisible();
  });
});

describe('adding pictures', () => {
  test('those that are there are not offered; some are chosen, one is left again, the others added', async () => {
    const asked = answers({
      'GET /api/v1/references/search': { ids: ['r', 'q', 's'], aspects: [1, 1, 1] },
      'GET /api/v1/references': ['r', 'q', 's'].map((id) => aReference({ id, title: id })),
    });
    const onAdd = jest.fn();
    show(<AddPictures have={['r']} kind="style" onAdd={onAdd} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add pictures' }));
    const dialog = within(screen.getByRole('dialog'));
    const [q, s] = [await dialog.findByRole('button', { name: 'q' }), dialog.getByRole('button', { name: 's' })];
    expect(dialog.queryByRole('button', { name: 'r' })).toBeNull();
    expect(dialog.getByRole('button', { name: 'Add' })).toBeDisabled();
    await userEvent.click(q);
    await userEvent.click(s);
    expect(dialog.getByRole('button', { name: 'Add 2' })).toBeEnabled();
    await userEvent.click(q);
    expect(q).toHaveAttribute('aria-pressed', 'false');
    expect(s).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(dialog.getByRole('button', { name: 'Add 1' }));
    expect(onAdd).toHaveBeenCalledWith(['s']);
    expect(screen.queryByRole('dialog')).toBeNull();
    await waitFor(() =>
      expect(asked.find((a) => a.path.endsWith('/search'))?.params).toEqual({ query: { kind: 'style' } }),
    );
  });
  test('of all kinds, and by words', async () => {
    const asked = answers({ 'GET /api/v1/references/search': { ids: [], aspects: [] } });
    show(<AddPictures have={[]} kind="style" onAdd={() => {}} />);
    await userEvent.click(screen.getByRole('button', { name: 'Add pictures' }));
    await userEvent.click(screen.getByLabelText('of all kinds'));
    await userEvent.type(screen.getByLabelText('Find by words'), 'reed');
    await waitFor(() =>
      expect(asked.filter((a) => a.path.endsWith('/search')).at(-1)?.params).toEqual({ query: { words: 'reed' } }),
    );
  });
});

describe('finding weights', () => {
  const running = { id: 'w', status: 'running', path: [], targets: [], best: undefined };
  const dialog = (asked: Record<string, unknown> = {}) => {
    const made = answers({ 'GET /api/v1/solves': [], 'POST /api/v1/solves': running, ...asked });
    const on = { save: jest.fn(() => Promise.resolve()), adopt: jest.fn(), close: jest.fn() };
    show(
      <SolveDialog
        mixId="m"
        influences={[anInfluence(), anInfluence({ id: 'off', on: false })]}
        lookup={lookup}
        take={aTake()}
        save={on.save}
        onAdopt={on.adopt}
        onClose={on.close}
      />,
    );
    return { made, on };
  };
  test('begins where the take is, in steps of five; what is off has no target', () => {
    dialog();
    expect(screen.getByLabelText('Target of Carved quay in percent')).toHaveValue('60');
    expect(screen.getAllByRole('checkbox')).toHaveLength(2);
  });
  test('asks for what is ticked, after the bench is saved', async () => {
    const { made, on } = dialog();
    const target = screen.getByLabelText('Target of Carved quay in percent');
    await userEvent.clear(target);
    await userEvent.type(target, '75{Enter}');
    await userEvent.click(screen.getByLabelText('The prompt has a target'));
    await userEvent.click(screen.getByRole('button', { name: 'Search' }));
    expect(on.save).toHaveBeenCalledTimes(1);
    expect(made.find((a) => a.method === 'POST')?.body).toEqual({
      mixId: 'm',
      targets: [{ influence: 'a', arrival: 0.75 }],
      wordsKept: 0.5,
    });
  });
  test('without a target there is nothing to search', async () => {
    dialog();
    await userEvent.click(screen.getByLabelText('Carved quay has a target'));
    expect(screen.getByRole('button', { name: 'Search' })).toBeDisabled();
  });
});

test('the channel that the shares are shown for is the one pressed, and another can be chosen', async () => {
  const onChannel = jest.fn();
  show(<ChannelChoice channel="colour" onChannel={onChannel} />);
  const pressed = screen.getAllByRole('button', { pressed: true });
  expect(pressed.map((b) => b.textContent)).toEqual(['colour']);
  expect(pressed[0]).toHaveClass('bg-ink');
  const all = screen.getByRole('button', { name: 'all shares' });
  expect(all).not.toHaveClass('bg-ink');
  await userEvent.click(all);
  expect(onChannel).toHaveBeenCalledWith('all');
});
