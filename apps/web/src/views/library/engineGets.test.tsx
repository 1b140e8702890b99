import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Reference } from '../../api/client';
import type { Corrections } from '../../api/corrections';
import { useReferencesById, type EngineView } from '../../api/references';
import { stepBack } from '../../api/undo';
import { startUndo } from '../../api/undoSteps';
import { useQueryClient } from '@tanstack/react-query';
import { drawableCanvases } from '../../test/canvas';
import { answers, aReference, show } from '../../test/page';
import { EngineGets } from './EngineGets';
import { FaceTools } from './FaceTools';
import { FigureMask } from './FigureMask';
import { HeadSeen } from './HeadSeen';

const CORRECT = 'PATCH /api/v1/references/{id}/corrections';
const AS_READ = aReference().corrections;
let count = 0;

/** A studio with one picture that keeps what is set right, and a part of the page that shows it; what was sent for it, in order. */
async function shown(part: (reference: Reference) => React.ReactElement, kept: Partial<Corrections>, fields: object) {
  const id = `corrected-${count++}`;
  let stored = aReference({ id, version: 7, corrections: { ...AS_READ, ...kept } });
  const asked = answers({
    'GET /api/v1/references/{id}/gives': gives(fields),
    'GET /api/v1/references/{id}': () => stored,
    'GET /api/v1/references': () => [stored],
    [CORRECT]: ({ version, ...corrections }: Corrections & { version: number }) => {
      if (version !== stored.version) return 409;
      stored = { ...stored, version: version + 1, corrections };
      return stored;
    },
  });
  function Live() {
    startUndo(useQueryClient());
    const reference = useReferencesById([id]).get(id);
    return reference ? part(reference) : null;
  }
  show(<Live />);
  await waitFor(() => expect(asked.length).toBeGreaterThan(0));
  return {
    /** What the last request set right. */
    sent: () =>
      waitFor(() => {
        const bodies = asked.filter((a) => `${a.method} ${a.path}` === CORRECT).map((a) => a.body as Corrections);
        expect(bodies.length).toBeGreaterThan(0);
        return bodies.at(-1)!;
      }),
    stored: () => stored.corrections,
  };
}

const gives = (fields: Partial<EngineView> = {}): EngineView =>
  ({
    pictureUrl: '/p',
    width: 640,
    height: 427,
    linesUrl: '/l',
    isLineDrawing: false,
    depthUrl: '/d',
    areasUrl: '/a',
    areas: [],
    shapeUrl: '/s',
    isShape: false,
    layout: { read: 'picture' },
    flat: 0.2,
    planColours: [],
    horizon: { at: 0.4, confidence: 0.8, byHand: false },
    faces: [],
    joints: [],
    proposedFocus: { left: 0, right: 1, top: 0, bottom: 1 },
    ...fields,
  }) as EngineView;

async function engineGets(fields: Partial<EngineView> = {}, kept: Partial<Corrections> = {}) {
  const studio = await shown((reference) => <EngineGets reference={reference} />, kept, fields);
  await screen.findByAltText('The horizon of Carved quay');
  return studio;
}

describe('what the engine gets', () => {
  beforeEach(drawableCanvases);
  test('shows of a person what was taken for hair, skin and clothes, where that was told apart', () => {
    show(<HeadSeen url="/head.webp" />);
    const figure = within(screen.getByRole('figure'));
    expect(figure.getByRole('img', { name: /hair, skin and clothes tinted/ })).toHaveAttribute('src', '/head.webp');
    expect(figure.getAllByRole('listitem').map((item) => item.textContent)).toEqual(['hair', 'skin', 'clothes']);
  });

  test('who is figure is painted on the whole file, and goes back to what was found', async () => {
    const matte = 'f'.repeat(64);
    const studio = await shown((r) => <FigureMask reference={{ ...r, matte }} />, { matte }, {});
    await userEvent.click(await screen.findByRole('button', { name: 'Paint who is figure' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'Who is figure' }));
    // a figure has no soft edge, and is not the opposite of what is painted
    expect(dialog.queryByRole('slider', { name: /Soft edge/ })).toBeNull();
    expect(dialog.queryByRole('checkbox')).toBeNull();
    await userEvent.click(dialog.getByRole('button', { name: 'Take the mask away' }));
    expect(await studio.sent()).toMatchObject({ matte: '' });
  });

  test('a figure that was painted by hand says so, and is given back', async () => {
    const studio = await shown((r) => <FigureMask reference={r} />, { matte: 'c'.repeat(64) }, {});
    expect(await screen.findByText('painted by hand')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'As found' }));
    expect(await studio.sent()).toMatchObject({ matte: '' });
    await waitFor(() => expect(screen.queryByText('painted by hand')).toBeNull());
  });

  test('shows the picture, lines, distances and shape, and says what they are not fit for', async () => {
    await engineGets();
    expect(screen.getByText('The picture, 640 × 427 px')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'As read' })).toBeNull();
    expect(screen.getByText('Shape: not two-valued, so it is not fit for one')).toBeVisible();
    await userEvent.click(screen.getByLabelText('at true size'));
    expect(screen.getByAltText('Lines of Carved quay')).toHaveClass('max-w-none');
  });

  describe('what each area shows', () => {
    const areas = [
      { x: 0.5, y: 0.1, kind: 'sky', why: 'touches the top', share: 0.5 },
      { x: 0.4, y: 0.8, kind: 'water', why: 'a blue band below the sky', share: 0.3 },
    ] as const;
    const read = { areas: areas.map((a) => ({ ...a })) };

    test('is listed with its part and by what it was told; a number on the picture leads to it', async () => {
      await engineGets(read);
      const water = screen.getByRole('combobox', { name: 'Area 2 shows' });
      expect(water).toHaveValue('water');
      const row = within(water.closest('li')!);
      expect(water).toHaveAttribute('title', 'told by: a blue band below the sky');
      expect(row.getByText('30 %')).toBeVisible();
      await userEvent.click(screen.getAllByText('2').find((e) => e.tagName === 'BUTTON')!);
      expect(water).toHaveFocus();
    });

    test('is set right by a choice, one name an area, and goes back to what was read', async () => {
      const { sent, stored } = await engineGets(read, { areas: [{ x: 0.5, y: 0.1, is: 'building' }] });
      expect(screen.getByText('by hand')).toBeVisible();
      await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Area 2 shows' }), 'ground');
      expect(await sent()).toMatchObject({
        areas: [
          { x: 0.5, y: 0.1, is: 'building' },
          { x: 0.4, y: 0.8, is: 'ground' },
        ],
      });
      await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Area 1 shows' }), 'sky');
      await waitFor(() => expect(stored().areas).toEqual([{ x: 0.4, y: 0.8, is: 'ground' }]));
      const section = within(screen.getByText('What each area shows').closest('section')!);
      await userEvent.click(section.getByRole('button', { name: 'As read' }));
      await waitFor(() => expect(stored().areas).toEqual([]));
    });

    test('is not asked of a plan, whose colours are named', async () => {
      await engineGets(
        { ...read, layout: { read: 'distance', near: 'light' } },
        { layout: { read: 'distance', near: 'light' } },
      );
      expect(screen.queryByText('What each area shows')).toBeNull();
    });
  });

  test.each([
    [0.8, -1, 'found'],
    [0.2, -1, 'a guess'],
    [0.8, 0.6, 'by hand'],
  ])('a horizon of confidence %d, set to %d by hand, is %s', async (confidence, horizon, word) => {
    await engineGets({ horizon: { at: 0.4, confidence, byHand: false } }, { horizon });
    expect(screen.getByText(word)).toBeVisible();
  });

  test('the horizon is set by its slider and given back to the reading', async () => {
    const { sent, stored } = await engineGets();
    const slider = screen.getByRole('slider', { name: 'Horizon, from the top' });
    slider.focus();
    await userEvent.keyboard('{ArrowRight}');
    expect(await sent()).toMatchObject({ horizon: 0.41, version: 7 });
    const back = within(slider.closest('section')!).getByRole('button', { name: 'As read' });
    await userEvent.click(back);
    await waitFor(() => expect(stored()).toEqual(AS_READ));
    expect(back).not.toBeInTheDocument();
  });

  test('quick keys lose nothing, and are one step of undo', async () => {
    const { stored } = await engineGets();
    screen.getByRole('slider', { name: 'Horizon, from the top' }).focus();
    await userEvent.keyboard('{ArrowRight>12/}');
    await waitFor(() => expect(stored().horizon).toBeCloseTo(0.52, 6));
    await stepBack();
    await waitFor(() => expect(stored()).toEqual(AS_READ));
    await stepBack(true);
    await waitFor(() => expect(stored().horizon).toBeCloseTo(0.52, 6));
  });

  test('a colour of the palette is set right; as read takes all of it back', async () => {
    const { sent, stored } = await engineGets();
    const first = screen.getByLabelText('Colour 1');
    fireEvent.change(first, { target: { value: '#ff0000' } });
    fireEvent.blur(first);
    expect((await sent()).swatches).toEqual([
      { colour: '#ff0000', weight: 0.7 },
      { colour: '#c0a060', weight: 0.3 },
    ]);
    const palette = screen.getByRole('heading', { name: 'Palette, with its weights' }).closest('section')!;
    await userEvent.click(within(palette).getByRole('button', { name: 'As read' }));
    await waitFor(() => expect(stored()).toEqual(AS_READ));
  });

  describe('used as a layout', () => {
    const planColours = [
      { colour: '#80b0e0', is: 'sky', part: 0.6 },
      { colour: '#308040', is: 'trees', part: 0.4 },
    ] as EngineView['planColours'];
    const areas = planColours.map(({ colour, is }) => ({ colour, is }));

    test('flat colours are said to look like a plan, and become one', async () => {
      const { sent } = await engineGets({ flat: 0.95, planColours });
      expect(screen.getByText(/Its colours are flat, as in a plan/)).toBeVisible();
      await userEvent.click(screen.getByLabelText('a plan: flat colours stand for places'));
      expect((await sent()).layout).toEqual({ read: 'areas', areas });
      expect(screen.getByLabelText('The colour #308040 stands for')).toHaveValue('trees');
    });

    test('each colour of a plan stands for what is chosen', async () => {
      const { sent } = await engineGets({ planColours }, { layout: { read: 'areas', areas } });
      expect(screen.getByText('its sky ends it')).toBeVisible();
      expect(screen.getByText('60 %')).toBeVisible();
      await userEvent.selectOptions(screen.getByLabelText('The colour #308040 stands for'), 'water');
      expect((await sent()).layout.areas).toEqual([areas[0], { colour: '#308040', is: 'water' }]);
    });

    test('near is light or dark in a map of distances, which has no horizon', async () => {
      const { sent } = await engineGets({}, { layout: { read: 'distance', near: 'light' } });
      expect(screen.getByText('none')).toBeVisible();
      await userEvent.selectOptions(screen.getByLabelText('near is'), 'dark');
      expect((await sent()).layout).toEqual({ read: 'distance', near: 'dark' });
    });
  });

  describe('joints', () => {
    const joints = [
      { name: 'leftElbow', x: 0.4, y: 0.5, score: 0.9 },
      { name: 'leftWrist', x: 0.45, y: 0.7, score: 0.8 },
    ];

    test('are moved by arrows, taken away by Delete, and given back to the reading', async () => {
      const { stored } = await engineGets({ joints });
      screen.getByRole('button', { name: 'left elbow: 40 % from the left, 50 % from the top' }).focus();
      await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowUp}');
      const moved = await screen.findByRole('button', { name: 'left elbow: 42 % from the left, 49 % from the top' });
      await waitFor(() => expect(stored().joints[0]).toMatchObject({ y: 0.49, score: 1 }));
      expect(stored().joints[0].x).toBeCloseTo(0.42, 9);
      screen.getByRole('button', { name: /^left wrist/ }).focus();
      await userEvent.keyboard('{Delete}');
      await waitFor(() => expect(stored().joints.map((j) => j.name)).toEqual(['leftElbow']));
      await userEvent.click(within(moved.closest('section')!).getByRole('button', { name: 'As read' }));
      await waitFor(() => expect(stored()).toEqual(AS_READ));
    });

    test('a figure is laid over a picture in which none was found', async () => {
      const { sent } = await engineGets();
      await userEvent.click(screen.getByRole('button', { name: 'Lay a figure over it' }));
      expect((await sent()).joints.length).toBeGreaterThan(10);
      expect(screen.getByRole('button', { name: /^nose: 50 % from the left/ })).toBeVisible();
    });
  });
});

describe('faces', () => {
  const box = { left: 0.25, right: 0.5, top: 0.1, bottom: 0.4 };

  test('say where they come from and how wide they are', () => {
    answers({});
    show(<FaceTools reference={aReference()} faces={[{ box, score: 0.9, yaw: -31.6 } as never]} focus={box} />);
    expect(screen.getByText('Found, turned 32°, 300 px wide')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'As found' })).toBeNull();
  });

  test.each([
    ['waiting', 'Nobody has looked for faces yet.'],
    ['unavailable', 'There are no vision models here. Set the focus around a face, then say so here.'],
  ] as const)('without one, and the vision %s, it is said what to do', (visionState, text) => {
    answers({});
    show(<FaceTools reference={aReference({ visionState })} faces={[]} focus={box} />);
    expect(screen.getByText(text)).toBeVisible();
  });

  test('the focus becomes the face, and is given back to what was found', async () => {
    const faces = (r: Reference) => <FaceTools reference={r} faces={r.corrections.faces} focus={box} />;
    const { sent, stored } = await shown(faces, {}, {});
    await userEvent.click(await screen.findByRole('button', { name: 'The focus is the face' }));
    expect((await sent()).faces).toEqual([{ box, score: 1, byHand: true }]);
    expect(screen.getByText('Drawn by hand, 300 px wide')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'As found' }));
    await waitFor(() => expect(stored()).toEqual(AS_READ));
  });
});
