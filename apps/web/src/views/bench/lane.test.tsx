import { GIVES } from '@urbild/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { MixInfluence } from '../../api/client';
import { anArrival, anInfluence, aTake, lookup, show } from '../../test/page';
import { LaneHead } from './LaneHead';
import { LaneSheet } from './LaneSheet';
import { Readings } from './Readings';

const nothing = () => undefined;
/** What these tests do not ask for. */
const idle = { onRemove: nothing, onRegion: nothing, onSolo: nothing };

function sheet(fields: Partial<MixInfluence> = {}) {
  const onChange = jest.fn();
  show(<LaneSheet influence={anInfluence(fields)} name="Carved quay" gives={GIVES} onChange={onChange} {...idle} />);
  return onChange;
}
const group = (name: string | RegExp) => within(screen.getByRole('group', { name }));

describe('the head of a lane', () => {
  test.each([true, false])('a switch tells whether it acts (%s) and turns it over', async (on) => {
    const onChange = jest.fn();
    show(
      <LaneHead
        influence={anInfluence({ on })}
        thumbnailUrl={undefined}
        name="Carved quay in the first light of a winter morning"
        hue="style"
        gives={GIVES}
        chosen={false}
        onChange={onChange}
        onChoose={idle.onSolo}
        {...idle}
      />,
    );
    const acts = screen.getByRole('switch', { name: /^Carved quay in the first light of a winter morning acts$/ });
    expect(acts.getAttribute('aria-checked')).toBe(String(on));
    acts.focus();
    await userEvent.keyboard(' ');
    expect(onChange).toHaveBeenCalledWith({ on: !on });
    // a name that is cut short can be read whole
    expect(screen.getByTitle('Carved quay in the first light of a winter morning')).toBeVisible();
  });
});

describe('the sheet of a lane', () => {
  test('offers every give, and says which one it is', async () => {
    const onChange = sheet();
    expect(group('It gives').getAllByRole('button')).toHaveLength(GIVES.length);
    expect(group('It gives').getByRole('button', { pressed: true })).toHaveTextContent('look');
    await userEvent.click(group('It gives').getByRole('button', { name: 'palette' }));
    expect(onChange).toHaveBeenCalledWith({ gives: 'palette', weight: 0.4, from: 0, to: 0.6 });
  });

  test('asks for strokes only of what paints, for whom only of what carries somebody, for a filling only of shapes', () => {
    sheet({ gives: 'look' });
    expect(screen.getByRole('group', { name: 'Its strokes come out' })).toBeVisible();
    expect(screen.queryByLabelText(/^Whom/)).toBeNull();
    document.body.innerHTML = '';
    sheet({ gives: 'face' });
    expect(screen.getByLabelText('Whom Carved quay acts on')).toBeVisible();
    expect(screen.queryByRole('group', { name: 'Its strokes come out' })).toBeNull();
    document.body.innerHTML = '';
    sheet({ gives: 'shape' });
    expect(group('The picture fills').getAllByRole('button')).toHaveLength(2);
  });

  test('a character carries at least one part, and all of them is as usual', async () => {
    const onChange = sheet({ gives: 'character', parts: ['face'] });
    await userEvent.click(group('It carries').getByRole('button', { name: 'face' }));
    expect(onChange).not.toHaveBeenCalled();
    await userEvent.click(group('It carries').getByRole('button', { name: 'hair' }));
    expect(onChange).toHaveBeenLastCalledWith({ parts: ['face', 'hair'] });
    document.body.innerHTML = '';
    const all = sheet({ gives: 'character', parts: ['face', 'hair', 'build'] });
    await userEvent.click(group('It carries').getByRole('button', { name: 'clothes' }));
    expect(all).toHaveBeenLastCalledWith({ parts: undefined });
  });

  test('whom it acts on is saved on Enter, and nobody means everybody', async () => {
    const onChange = sheet({ gives: 'character', subject: 'Ilse' });
    const whom = screen.getByLabelText('Whom Carved quay acts on');
    await userEvent.clear(whom);
    await userEvent.type(whom, 'Brom{Enter}');
    expect(onChange).toHaveBeenLastCalledWith({ subject: 'Brom' });
    await userEvent.clear(whom);
    await userEvent.type(whom, '{Enter}');
    expect(onChange).toHaveBeenLastCalledWith({ subject: undefined });
  });

  test('its span is set by a word or in percent', async () => {
    const onChange = sheet();
    await userEvent.click(group(/It pulls from 0 % to 100 %/).getByRole('button', { name: 'early' }));
    expect(onChange).toHaveBeenLastCalledWith({ from: 0, to: 0.25 });
    await userEvent.type(screen.getByLabelText('Start in percent'), '{Control>}a{/Control}30{Enter}');
    expect(onChange).toHaveBeenLastCalledWith({ from: 0.3 });
  });
});

describe('readings', () => {
  test('say how far each influence that acts came, and warnings come with their fix', async () => {
    const onFix = jest.fn();
    const warning = {
      kind: 'weight-beyond' as const,
      influences: ['a'],
      cause: 'It weighs 3.',
      fix: { label: 'Set it to 2', changes: [] },
    };
    const take = aTake({ influences: [anInfluence(), anInfluence({ id: 'off', on: false })], wordsKept: 0.4 });
    show(<Readings take={take} lookup={lookup} warnings={[warning]} onFix={onFix} />);
    expect(screen.getAllByTestId('reading').map((r) => [r.dataset.name, r.dataset.value])).toEqual([
      ['Carved quay', '0.62'],
      ['Words kept', '0.4'],
    ]);
    expect(screen.getByText('colour 70 % · surface 54 %')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Set it to 2' }));
    expect(onFix).toHaveBeenCalledWith(warning);
  });

  test('say on how much of the picture a channel was judged, and why another cannot be told', () => {
    const judged = [{ channel: 'pose' as const, part: 0.12 }];
    const untold = [{ channel: 'identity' as const, why: 'The head is too small.' }];
    const readings = (arrival: ReturnType<typeof anArrival>) => (
      <Readings take={aTake({ arrivals: [arrival] })} lookup={lookup} warnings={[]} onFix={() => undefined} />
    );
    const { unmount } = show(readings(anArrival({ overall: 0.4, pose: 0.4, judged, untold })));
    expect(screen.getByText('pose 40 % (on 12 % of the picture)')).toBeVisible();
    expect(screen.queryByText(/cannot be told here/)).not.toBeInTheDocument();
    expect(screen.getByTestId('reading').title).toContain('identity: The head is too small.');
    unmount();
    show(readings(anArrival({ untold })));
    expect(screen.getByText('identity cannot be told here. The head is too small.')).toBeVisible();
  });

  test('say of somebody what is as it is known of them, and what is not', () => {
    const [same, unlike] = [
      ['hair', 'skin'],
      ['no glasses', 'eyes brown instead of green'],
    ];
    const readings = (arrival: ReturnType<typeof anArrival>) => (
      <Readings take={aTake({ arrivals: [arrival] })} lookup={lookup} warnings={[]} onFix={() => undefined} />
    );
    const { unmount } = show(readings(anArrival({ overall: 0.4, identity: 0.4, same, unlike })));
    expect(screen.getByText('as known: hair, skin')).toBeVisible();
    expect(screen.getByText('not as known: no glasses, eyes brown instead of green')).toBeVisible();
    unmount();
    show(readings(anArrival({ overall: 0.4, identity: 0.4, same })));
    expect(screen.queryByText(/not as known/)).not.toBeInTheDocument();
  });

  test('say which words the picture does not show, with the reason, and how well the others are found', async () => {
    const take = aTake({
      pictureUrl: '/take',
      wordsKept: 0.5,
      words: [
        { start: 0, end: 3, text: 'dog', means: 'creature: dog', found: 0.82, box: [0.5, 0.25, 0.75, 0.75] },
        { start: 8, end: 12, text: 'boat', means: 'thing: boat', found: 0.18 },
      ],
      notDrawn: [{ start: 4, end: 7, text: 'feeding', means: 'action: kneel', why: 'Drawn as somebody who kneels.' }],
    });
    show(<Readings take={take} lookup={lookup} warnings={[]} onFix={() => undefined} />);
    expect(screen.getByText('dog 82 % · boat 18 %')).toBeVisible();
    expect(screen.getByRole('heading', { name: 'Not drawn' })).toBeVisible();
    expect(screen.getByText('feeding:')).toBeVisible();
    expect(screen.getByText('Drawn as somebody who kneels.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Words kept: what was compared' }));
    const cut = screen.getByRole('img', { name: 'dog, in this picture' });
    expect(cut.style.backgroundSize).toBe('400% 200%');
    expect(parseFloat(cut.style.backgroundPosition)).toBeCloseTo(66.67, 1);
    expect(screen.getByRole('img', { name: 'dog, without references' })).toBeVisible();
    expect(screen.queryByRole('img', { name: /boat/ })).not.toBeInTheDocument();
  });

  test('one channel judged on the whole picture needs no line of its own, and leaves nothing behind', () => {
    const take = aTake({ arrivals: [anArrival({ overall: 0.3, colour: 0.3 })] });
    show(<Readings take={take} lookup={lookup} warnings={[]} onFix={() => undefined} />);
    expect(screen.getByTestId('reading')).toHaveTextContent(/^Carved quay30 %$/);
  });

  test('open the pictures that were compared', async () => {
    const control = { id: 'c', thumbnailUrl: '/control' };
    const take = aTake({ control, thumbnailUrl: '/small/t' });
    show(<Readings take={take} lookup={lookup} warnings={[]} onFix={() => undefined} />);
    await userEvent.click(screen.getByRole('button', { name: 'Carved quay: what was compared' }));
    expect(screen.getByRole('img', { name: 'without references' })).toHaveAttribute('src', '/control');
    expect(screen.getByRole('img', { name: 'this picture' })).toHaveAttribute('src', '/small/t');
    expect(screen.getByText(/A copy would be 100 %/)).toBeVisible();
  });

  test('what could not be measured says so, and no take says what to do', () => {
    const { unmount } = show(
      <Readings take={aTake({ arrivals: [] })} lookup={lookup} warnings={[]} onFix={() => undefined} />,
    );
    expect(screen.getByText('not measured')).toBeVisible();
    unmount();
    show(<Readings take={undefined} lookup={lookup} warnings={[]} onFix={() => undefined} />);
    expect(screen.getByText(/Render a proof/)).toBeVisible();
  });
});
