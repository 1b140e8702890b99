import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { FallsOut, Shot } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import { anInfluence, answers, lookup, show } from '../../test/page';
import { FallsOutBox } from './FallsOutBox';
import { OwnSettings, without, withWeight } from './OwnSettings';
import { PasteDialog } from './PasteDialog';
import { ShotWords } from './ShotWords';

const shot = (fields: Partial<Shot> = {}): Shot =>
  ({
    id: 's',
    title: 'The pier',
    prompt: 'Ilse on the pier',
    seed: 5,
    notes: '',
    own: { influences: [], added: [] },
    differs: [],
    takes: [],
    stale: [],
    version: 1,
    ...fields,
  }) as unknown as Shot;
const acts = () => {
  const changeShot = jest.fn();
  const tryRemedy = jest.fn().mockResolvedValue(undefined);
  const tryOut = jest.fn().mockResolvedValue(undefined);
  return { changeShot, tryRemedy, tryOut, acts: { changeShot, tryRemedy, tryOut } as unknown as SeriesActs };
};

describe('the words of a shot', () => {
  beforeEach(() => void answers({ 'GET /api/v1/cast': [] }));

  test('title, words and notes are saved while they are typed; a title is never empty', async () => {
    const { changeShot, acts: all } = acts();
    show(<ShotWords shot={shot()} acts={all} />);
    await userEvent.clear(screen.getByLabelText('Title of the shot'));
    expect(changeShot).not.toHaveBeenCalled();
    await userEvent.type(screen.getByLabelText('Title of the shot'), 'Quay');
    expect(changeShot).toHaveBeenLastCalledWith(expect.anything(), { title: 'Quay' });
    await userEvent.type(screen.getByLabelText('Words of the shot'), '!');
    expect(changeShot).toHaveBeenLastCalledWith(expect.anything(), { prompt: 'Ilse on the pier!' });
  });

  test('a seed is its digits, and at most the largest seed', async () => {
    const { changeShot, acts: all } = acts();
    show(<ShotWords shot={shot()} acts={all} />);
    const seed = screen.getByLabelText('Seed of the shot');
    await userEvent.clear(seed);
    await userEvent.paste('12x4');
    expect(changeShot).toHaveBeenLastCalledWith(expect.anything(), { seed: 124 });
    await userEvent.clear(seed);
    await userEvent.paste('9999999999');
    expect(changeShot).toHaveBeenLastCalledWith(expect.anything(), { seed: 4294967295 });
  });

  test('words that the painter does not know are marked', () => {
    show(<ShotWords shot={shot({ prompt: 'a zorblax on the pier' })} acts={acts().acts} />);
    expect(screen.getByTitle('The painter does not know this word')).toHaveTextContent('zorblax');
  });
});

describe('own settings', () => {
  const own = {
    balance: 0.5,
    influences: [{ id: 'a', weight: 0.4, on: false }],
    added: [{ ...anInfluence({ id: 'sketch' }), parts: undefined, except: undefined }],
  } as unknown as Shot['own'];

  test('one is taken back alone', () => {
    expect(without(own, 'balance')).toMatchObject({ balance: undefined, influences: own.influences });
    expect(without(own, 'added:sketch').added).toEqual([]);
    expect(without(own, 'weight:a').influences).toEqual([{ id: 'a', weight: undefined, on: false }]);
    expect(withWeight(own, 'a', 0.9).influences).toEqual([{ id: 'a', weight: 0.9, on: false }]);
    expect(withWeight(own, 'b', 0.2).influences).toHaveLength(2);
  });

  test('each stands in words with what takes it back, and weights are set here', async () => {
    const { changeShot, acts: all } = acts();
    const differs = [{ key: 'balance', text: 'balance 0.5 instead of 1' }];
    show(<OwnSettings shot={shot({ own, differs })} influences={[anInfluence()]} lookup={lookup} acts={all} />);
    await userEvent.click(screen.getByRole('button', { name: 'Take back: balance 0.5 instead of 1' }));
    expect(changeShot).toHaveBeenLastCalledWith(
      expect.anything(),
      { own: expect.objectContaining({ balance: undefined }) as unknown },
      'Its own setting was taken back',
    );
    answers({});
    await userEvent.click(screen.getByRole('button', { name: 'Set something for this shot' }));
    const weight = await screen.findByLabelText('Weight of Carved quay in this shot');
    expect(weight).toHaveValue('0.40');
    await userEvent.type(weight, '{Control>}a{/Control}1.2{Enter}');
    const [, change] = changeShot.mock.lastCall as [Shot, { own: Shot['own'] }];
    expect(change.own.influences).toEqual([{ id: 'a', weight: 1.2, on: false }]);
  });
});

describe('a shot that falls out', () => {
  const PLAN = { prompt: 'half figure of Ilse on the pier', seed: 5, own: { influences: [], added: [] } };
  const fall = (...states: FallsOut['remedies'][number]['state'][]) =>
    ({
      takeId: 't',
      aspect: 'identity',
      name: 'Ilse',
      arrival: 0.12,
      others: { low: 0.4, high: 0.7 },
      sentence: 'She is too small to be told.',
      remedies: states.map((state, k) => ({ label: ['Bring Ilse nearer', 'Another seed'][k], plan: PLAN, state })),
    }) as unknown as FallsOut;

  test('says by how much and why', () => {
    show(<FallsOutBox fall={fall('helps')} shot={shot()} acts={acts().acts} />);
    const box = screen.getByLabelText('Falls out');
    expect(box).toHaveTextContent('Falls out: identity of Ilse 12 %.');
    expect(box).toHaveTextContent('The others lie between 40 % and 70 %. She is too small to be told.');
  });

  test('remedies are tried by themselves, once; until then none is offered', () => {
    const { tryOut, acts: all } = acts();
    const { rerender } = show(<FallsOutBox fall={fall('untried', 'untried')} shot={shot()} acts={all} />);
    expect(tryOut).toHaveBeenCalledTimes(1);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByRole('status')).toHaveTextContent('Trying what may bring it back ...');
    rerender(<FallsOutBox fall={fall('trying', 'trying')} shot={shot()} acts={all} />);
    rerender(<FallsOutBox fall={fall('helps', 'fails')} shot={shot()} acts={all} />);
    expect(tryOut).toHaveBeenCalledTimes(1);
  });

  test('one that helps is offered, one that does not is told; what is shown already is not offered again', async () => {
    const { tryRemedy, tryOut, acts: all } = acts();
    const { rerender } = show(<FallsOutBox fall={fall('helps', 'fails')} shot={shot()} acts={all} />);
    expect(screen.getByRole('status')).toHaveTextContent('“Another seed” was tried and does not help.');
    await userEvent.click(screen.getByRole('button', { name: 'Bring Ilse nearer' }));
    expect(tryRemedy).toHaveBeenCalledWith(shot(), { label: 'Bring Ilse nearer', plan: PLAN });
    expect(tryOut).not.toHaveBeenCalled();
    const takes = [{ id: 'x', trial: { kind: 'remedy', batch: 'b', label: 'Bring Ilse nearer' } }];
    rerender(<FallsOutBox fall={fall('helps')} shot={shot({ takes: takes as unknown as Shot['takes'] })} acts={all} />);
    expect(screen.getByRole('button', { name: 'Bring Ilse nearer' })).toBeDisabled();
  });

  test('where nothing helped it says so', () => {
    show(<FallsOutBox fall={fall('fails', 'fails')} shot={shot()} acts={acts().acts} />);
    expect(screen.getByRole('status')).toHaveTextContent(
      '“Bring Ilse nearer” and “Another seed” did not bring it back.',
    );
    expect(screen.queryByRole('button')).toBeNull();
  });
});

describe('shots from a text', () => {
  test('what would be made of it is shown before it is added', async () => {
    const read = [
      { title: 'Noon', prompt: 'the harbour at noon' },
      { title: 'Night', prompt: 'the harbour at night' },
    ];
    answers({ 'POST /api/v1/shots/read': read });
    const onAdd = jest.fn().mockResolvedValue(true);
    const onClose = jest.fn();
    show(<PasteDialog onAdd={onAdd} onClose={onClose} />);
    expect(screen.getByRole('button', { name: 'Add shots' })).toBeDisabled();
    await userEvent.click(screen.getByLabelText('Shots as text'));
    await userEvent.paste('Noon: the harbour at noon\nNight: the harbour at night');
    const list = within(screen.getByRole('list', { name: 'What is made of it' }));
    await waitFor(() => expect(list.getAllByRole('listitem')).toHaveLength(2));
    expect(list.getByText('1 Noon')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Add 2 shots' }));
    expect(onAdd).toHaveBeenCalledWith(read);
    await waitFor(() => expect(onClose).toHaveBeenCalled());
  });

  test('what cannot be read says why, and cannot be added', async () => {
    answers({});
    show(<PasteDialog onAdd={jest.fn()} onClose={() => undefined} />);
    await userEvent.click(screen.getByLabelText('Shots as text'));
    await userEvent.paste('title;prompt\n');
    expect(await screen.findByRole('alert')).toHaveTextContent('No: 404');
    expect(screen.getByRole('button', { name: 'Add shots' })).toBeDisabled();
  });
});
