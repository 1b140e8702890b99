import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Take } from '../../api/client';
import { answers, aTake, show } from '../../test/page';
import { LightTable } from './LightTable';
import { MaskTools } from '../../shared/mask/MaskTools';
import { MixName } from './MixName';
import { RenderFoot } from './RenderFoot';
import { StartSettings } from './StartSettings';
import type { BenchMix } from './useBenchMix';

const control = { id: 'c', pictureUrl: '/control', thumbnailUrl: '/control-s' };

describe('the light table', () => {
  const on = { show: jest.fn(), cancel: jest.fn() };
  beforeEach(() => Object.values(on).forEach((f) => f.mockClear()));
  function table(take: Take | undefined, takes: readonly Take[] = take ? [take] : [], more: object = {}) {
    // what was said of it is kept
    let kept = take;
    const patch = (body: Partial<Take>) => (kept = { ...kept!, ...body, version: kept!.version + 1 });
    const asked = answers({ 'PATCH /api/v1/takes/{id}': patch });
    const props = { loading: false, fresh: false, current: true, onShow: on.show, onCancel: on.cancel };
    show(<LightTable take={take} takes={takes} {...props} {...more} />);
    return asked;
  }

  test('without anything it says what comes next', () => {
    table(undefined, [], { fresh: true });
    expect(screen.getByText('Nothing rendered yet')).toBeVisible();
  });

  test.each([
    ['queued', {}, 'queued'],
    ['rendering', {}, 'is being rendered'],
    ['failed', { error: 'It was not rendered: no room' }, 'It was not rendered: no room'],
    ['cancelled', {}, 'was stopped'],
    ['done', { took: 4210 }, 'Matches the bench · 4.2 s'],
  ] as const)('a take that is %s says so', (status, fields, text) => {
    table(aTake({ status, ...fields }));
    expect(screen.getByTestId('take-state')).toHaveTextContent(text);
  });

  test('one that was made before says that weights or words are others now', () => {
    table(aTake(), undefined, { current: false });
    expect(screen.getByTestId('take-state')).toHaveTextContent('Made with earlier settings');
  });

  test('what waits can be stopped, what is done cannot', async () => {
    const waits = aTake({ status: 'queued' });
    table(waits);
    expect(screen.getByRole('progressbar', { name: 'Rendering' })).toHaveAttribute('aria-valuenow', '0');
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(on.cancel).toHaveBeenCalledWith(waits);
    expect(screen.queryByRole('button', { name: 'Keeper' })).toBeNull();
  });

  test('the control lies beside it, or under a wipe that keys move', async () => {
    table(aTake({ pictureUrl: '/take', control }));
    expect(screen.getByAltText(/^Control: the same words/)).toHaveAttribute('src', '/control');
    await userEvent.click(screen.getByRole('button', { name: 'Wipe between take and control' }));
    expect(screen.queryByAltText(/^Control: the same words/)).toBeNull();
    const edge = screen.getByRole('slider', { name: 'Wipe between control and take' });
    fireEvent.keyDown(edge, { key: 'ArrowRight' });
    expect(edge).toHaveAttribute('aria-valuenow', '55');
    fireEvent.keyDown(edge, { key: 'ArrowLeft' });
    fireEvent.keyDown(edge, { key: 'ArrowLeft' });
    expect(edge).toHaveAttribute('aria-valuenow', '45');
    expect(screen.getByAltText('Control')).toHaveStyle({ clipPath: 'inset(0 55.00000000000001% 0 0)' });
  });

  test('while C is held the control lies over it', () => {
    table(aTake({ pictureUrl: '/take', control }));
    fireEvent.keyDown(document.body, { key: 'c' });
    expect(screen.getByText(/^Control · seed/)).toBeVisible();
    expect(screen.getByAltText('Control')).toHaveStyle({ clipPath: 'inset(0 0% 0 0)' });
    fireEvent.keyUp(document.body, { key: 'c' });
    expect(screen.queryByAltText('Control')).toBeNull();
  });

  test('is marked by buttons and by keys', async () => {
    const asked = table(aTake({ keeper: true }));
    const bodies = () => asked.map((a) => a.body);
    await userEvent.click(screen.getByRole('button', { name: 'Keeper', pressed: true }));
    // marks that come quickly go together: each is waited for
    await waitFor(() => expect(bodies()).toEqual([expect.objectContaining({ keeper: false })]));
    fireEvent.keyDown(document.body, { key: 'x' });
    await waitFor(() => expect(bodies()).toHaveLength(2));
    expect(bodies()[1]).toMatchObject({ rejected: true });
  });

  describe('the strip of takes', () => {
    const all = [
      aTake({ id: 'a', seed: 1, keeper: true }),
      aTake({ id: 'b', seed: 2, rejected: true }),
      aTake({ id: 'c', seed: 3, rating: 4 }),
    ];
    const strip = () => within(screen.getByRole('list', { name: 'Takes' }));
    const names = () =>
      strip()
        .getAllByRole('button')
        .map((b) => b.getAttribute('aria-label'));

    test.each([
      ['all', [1, 2, 3]],
      ['keepers', [1]],
      ['not rejected', [1, 3]],
      ['rated', [3]],
    ])('shows %s', async (only, seeds) => {
      table(all[0], all);
      await userEvent.selectOptions(screen.getByLabelText('Takes shown'), only);
      expect(names().map((n) => Number(/seed (\d+)/.exec(n!)![1]))).toEqual(seeds);
      expect(screen.getByText('3 takes · 1 keeper')).toBeVisible();
    });

    test('shows one with a click; several with Shift are compared', async () => {
      const user = userEvent.setup();
      table(all[0], all);
      const [, second, third] = strip().getAllByRole('button');
      await user.click(second);
      expect(on.show).toHaveBeenCalledWith(all[1]);
      await user.keyboard('{Shift>}');
      await user.click(third);
      expect(screen.getByRole('link', { name: 'Compare 2' })).toHaveAttribute('href', '/compare?takes=a,c');
      await user.click(second);
      await user.keyboard('{/Shift}');
      expect(screen.getByRole('link', { name: 'Compare 2' })).toHaveAttribute('href', '/compare?takes=c,b');
      await user.keyboard('{Control>}');
      await user.click(third);
      await user.keyboard('{/Control}');
      expect(screen.getByRole('link', { name: 'Compare 2' })).toHaveAttribute('href', '/compare?takes=a,b');
      await user.click(second);
      expect(screen.queryByRole('link', { name: /Compare/ })).toBeNull();
    });
  });
});

describe('the foot of the bench', () => {
  const bench = (fields: Partial<BenchMix> & { prompt?: string } = {}): BenchMix =>
    ({
      mix: { prompt: 'a mill', ...fields },
      dirty: false,
      canUndo: false,
      canRedo: true,
      undo: jest.fn(),
      redo: jest.fn(),
      ...fields,
    }) as never;
  test('renders as many as are chosen; nothing without words', async () => {
    const onRender = jest.fn();
    const foot = (b: BenchMix) => (
      <RenderFoot bench={b} busy={false} follows onFollows={() => {}} onRender={onRender} />
    );
    const { rerender } = show(foot(bench()));
    await userEvent.selectOptions(screen.getByLabelText('How many proofs'), '4 ×');
    await userEvent.click(screen.getByRole('button', { name: 'Render 4 proofs' }));
    expect(onRender).toHaveBeenCalledWith(4);
    rerender(foot(bench({ mix: { prompt: '  ' } as never })));
    expect(screen.getByRole('button', { name: 'Render 4 proofs' })).toBeDisabled();
  });
  test('says to whoever may only look that they can be let do more', async () => {
    const person = { id: 'i', name: 'Ilse', role: 'viewer', mayExport: false };
    answers({ 'GET /api/v1/me': { alone: false, hasOwner: true, person } });
    show(<RenderFoot bench={bench()} busy={false} follows onFollows={() => {}} onRender={() => {}} />);
    expect(await screen.findByText(/An owner of the studio can let you\./)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Render a proof' })).toBeNull();
  });
  test('tells whether it is saved, and takes steps back and forth', async () => {
    const b = bench({ dirty: true });
    const onFollows = jest.fn();
    const foot = (of: BenchMix) => (
      <RenderFoot bench={of} busy={false} follows onFollows={onFollows} onRender={() => {}} />
    );
    const { rerender } = show(foot(b));
    expect(screen.getByText('saving')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Undo' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Redo' }));
    expect(b.redo).toHaveBeenCalled();
    await userEvent.click(screen.getByRole('checkbox', { name: 'Live draft' }));
    expect(onFollows).toHaveBeenCalledWith(false);
    rerender(foot(bench({ problem: 'no line', dirty: true })));
    expect(screen.getByText('not saved')).toBeVisible();
    rerender(foot(bench()));
    expect(screen.getByText('saved')).toBeVisible();
  });
});

describe('the picture that a mix starts from', () => {
  const settings = { aspect: '3:2' as const, seed: 1, balance: 1 };
  const start = { of: 'take' as const, id: 't', change: 0.5 };
  test('is the take on the table, when that is done', async () => {
    const onChange = jest.fn();
    const part = (take: Take) => (
      <StartSettings settings={settings} take={take} onChange={onChange} onMask={() => {}} />
    );
    const { rerender } = show(part(aTake({ status: 'rendering' })));
    expect(screen.getByRole('button', { name: /^Start from the take on the table/ })).toBeDisabled();
    rerender(part(aTake()));
    await userEvent.click(screen.getByRole('button', { name: /^Start from the take on the table/ }));
    expect(onChange).toHaveBeenCalledWith({ ...settings, start });
  });
  test('changes as far as is said, under a mask or everywhere, and can be left', async () => {
    answers({ 'GET /api/v1/takes/{id}': aTake({ thumbnailUrl: '/small' }) });
    const [onChange, onMask] = [jest.fn(), jest.fn()];
    const mask = { content: 'x', invert: false, feather: 0.01 };
    const part = (more: object) => (
      <StartSettings settings={{ ...settings, start, ...more }} take={undefined} onChange={onChange} onMask={onMask} />
    );
    const { rerender } = show(part({}));
    expect(await screen.findByAltText('Start picture')).toHaveAttribute('src', '/small');
    const field = screen.getByLabelText('Change of the start picture in percent');
    await userEvent.clear(field);
    await userEvent.type(field, '35{Enter}');
    expect(onChange).toHaveBeenLastCalledWith({ ...settings, start: { ...start, change: 0.35 } });
    await userEvent.click(screen.getByRole('button', { name: 'everywhere; paint a mask' }));
    expect(onMask).toHaveBeenCalled();
    rerender(part({ mask }));
    expect(screen.getByRole('button', { name: 'under its mask' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Do not start from a picture' }));
    expect(onChange).toHaveBeenLastCalledWith({ ...settings, start: undefined, mask: undefined });
  });
});

describe('the tools of a mask', () => {
  const fills = ['Ilse', 'Ilse, the head', 'figure 2', 'The sky'].map((name, k) => ({ name, content: `${k}` }));
  function tools(more: Partial<Parameters<typeof MaskTools>[0]> = {}) {
    const on = Object.fromEntries(
      ['onErasing', 'onBrush', 'onFeather', 'onInvert', 'onFill', 'onAll', 'onSave'].map((name) => [name, jest.fn()]),
    ) as Record<string, jest.Mock>;
    answers({});
    const props = {
      title: 'Where it acts',
      erasing: false,
      brush: 48,
      feather: 0.02,
      invert: false,
      fills,
      acts: 0.3,
      busy: false,
      ...on,
      ...more,
    } as unknown as Parameters<typeof MaskTools>[0];
    // the title of a dialog stands in a dialog
    const { Dialog } = jest.requireActual<typeof import('radix-ui')>('radix-ui');
    show(
      <Dialog.Root open>
        <Dialog.Content aria-describedby={undefined}>
          <MaskTools {...props} />
        </Dialog.Content>
      </Dialog.Root>,
    );
    return on;
  }
  test('brush and eraser, wider and softer by sliders', async () => {
    const on = tools();
    await userEvent.click(screen.getByRole('button', { name: 'Eraser' }));
    expect(on.onErasing).toHaveBeenCalledWith(true);
    screen.getByRole('slider', { name: 'Size of the brush, px' }).focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(on.onBrush).toHaveBeenCalledWith(49);
    const soft = screen.getByRole('slider', { name: 'Soft edge, part of the picture' });
    expect(soft).toHaveAttribute('aria-valuetext', '2 %');
    soft.focus();
    await userEvent.keyboard('{Home}');
    expect(on.onFeather).toHaveBeenCalledWith(0);
    expect(screen.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
  test('is filled from what is in the picture, or with all or nothing of it', async () => {
    const on = tools();
    const fill = within(screen.getByRole('group', { name: 'Fill' }));
    expect(fill.getAllByRole('button').map((b) => b.textContent)).toEqual([
      'Ilse',
      'Ilse, the head',
      'figure 2',
      'The sky',
      'All of it',
      'Nothing',
    ]);
    await userEvent.click(fill.getByRole('button', { name: 'Ilse, the head' }));
    expect(on.onFill).toHaveBeenCalledWith(fills[1]);
    await userEvent.click(fill.getByRole('button', { name: 'Nothing' }));
    expect(on.onAll).toHaveBeenLastCalledWith(false);
  });
  test('can be filled with all or nothing while outlines are on their way', () => {
    tools({ fills: undefined });
    const fill = within(screen.getByRole('group', { name: 'Fill' }));
    expect(fill.getAllByRole('button').map((b) => b.textContent)).toEqual(['All of it', 'Nothing']);
  });
  test('one that lets nothing through cannot be used; one that cuts somebody says whom', () => {
    tools({ acts: 0, cut: 'Ilse' });
    expect(screen.getByRole('button', { name: 'Use this mask' })).toBeDisabled();
    expect(screen.getByText(/The mask is too tight for Ilse/)).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Take the mask away' })).toBeNull();
  });
});

test('a mix is renamed and archived where its name stands, and others are opened from there', async () => {
  const asked = answers({
    'POST /api/v1/series/from-mix': { id: 'e' },
    'GET /api/v1/projects': [
      { id: 'book', name: 'The book' },
      { id: 'cards', name: 'Cards' },
    ],
  });
  const on = { rename: jest.fn(), archive: jest.fn(), move: jest.fn(), open: jest.fn(), make: jest.fn() };
  const mixes = [
    { id: 'm', name: 'Harbour', projectId: 'book' },
    { id: 'n', name: 'Marsh', projectId: 'book' },
  ] as never;
  const acts = { onRename: on.rename, onArchive: on.archive, onMove: on.move, onOpen: on.open, onNew: on.make };
  show(<MixName name="Harbour" mixes={mixes} mixId="m" projectId="book" archived={false} {...acts} />);
  const project = await screen.findByLabelText('Project of the mix');
  expect(project).toHaveDisplayValue('The book');
  await userEvent.selectOptions(project, 'Cards');
  expect(on.move).toHaveBeenCalledWith('cards');
  const field = screen.getByLabelText('Name of the mix');
  await userEvent.clear(field);
  await userEvent.tab();
  expect(on.rename).not.toHaveBeenCalled();
  await userEvent.type(field, ' Quay {Enter}');
  expect(on.rename).toHaveBeenCalledWith('Quay');
  await userEvent.click(screen.getByRole('button', { name: 'Open a mix' }));
  expect(screen.getByRole('button', { name: 'Marsh' })).toHaveFocus();
  await userEvent.click(screen.getByRole('button', { name: 'Marsh' }));
  expect(on.open).toHaveBeenCalledWith('n');
  await userEvent.click(screen.getByRole('button', { name: 'Archive' }));
  expect(on.archive).toHaveBeenCalledWith(true);
  await userEvent.click(screen.getByRole('button', { name: 'Make a series' }));
  await waitFor(() => expect(asked.at(-1)).toMatchObject({ method: 'POST', body: { mixId: 'm' } }));
});
