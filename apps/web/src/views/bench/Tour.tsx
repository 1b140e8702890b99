import { Popover } from 'radix-ui';
import { useMemo, useState } from 'react';
import { Button } from '../../parts/Button';

/** A part of the bench: where it is, and what it is for. */
interface Stop {
  /** The first of these that is there is pointed at. */
  readonly at: readonly string[];
  readonly title: string;
  readonly text: string;
}

/** What the bench is made of, in the order in which a picture is made. */
const STOPS: readonly Stop[] = [
  {
    at: ['[data-main="The prompt"]'],
    title: 'The prompt',
    text: 'Say who, where, when, doing what. What is drawn is set strong; what is not known is underlined, and offers what could stand in its place.',
  },
  {
    at: ['aside[aria-label="Tray"]'],
    title: 'The tray',
    text: 'Pictures, looks and people. Drag one into the course, or press Enter on it: it becomes a lane.',
  },
  {
    at: ['[role=slider][aria-label$=": weight"]', 'section[aria-label="Course"]'],
    title: 'A lane is one reference',
    text: 'Its height is its weight, its two ends are its span: from when to when in the making it acts. Drag them, use the arrow keys, or type.',
  },
  {
    at: ['button[aria-label*=" gives "]', '[role=group][aria-label="Lanes"]'],
    title: 'What it gives',
    text: 'A look, a palette, a layout, a face, an outfit: click to change it, and to set how closely it is followed, where, and for whom.',
  },
  {
    at: ['[role=group][aria-label="Shares shown for"]'],
    title: 'Who decides when',
    text: 'Behind the lanes stands the share of the prompt and of every reference at each moment: for all of the picture, or for layout, identity, colour or surface alone.',
  },
  {
    at: ['[data-testid="take-picture"]', 'main'],
    title: 'The light table',
    text: 'Every change is drawn at once, as a draft. Beside it is the control: the same prompt and seed without references. Hold C to lay it over.',
  },
  {
    at: ['section[aria-label="Readings"]', 'aside[aria-label="Readings and settings"]'],
    title: 'How far it came',
    text: 'Arrival: how far each reference shows in this take, from 0 (what any picture scores) to 100 % (a copy). Click a number to see what was compared.',
  },
];

const partOf = ({ at }: Stop): Element | undefined =>
  at.map((css) => document.querySelector(css)).find((e): e is Element => !!e);

/** Points at the real parts of the bench, one after the other, and says what each is for. */
export function Tour({ onDone }: { onDone: () => void }) {
  const [nth, setNth] = useState(0);
  const stop = STOPS[nth];
  const anchor = useMemo(
    () => ({ current: { getBoundingClientRect: () => (partOf(stop) ?? document.body).getBoundingClientRect() } }),
    [stop],
  );
  const box = partOf(stop)?.getBoundingClientRect();
  const last = nth === STOPS.length - 1;
  return (
    <Popover.Root open onOpenChange={(open) => !open && onDone()}>
      <Popover.Anchor virtualRef={anchor} />
      {box && (
        <div
          aria-hidden
          className="pointer-events-none fixed z-40 rounded-lg border-3 border-cinnabar shadow-[0_0_0_200vmax_rgb(0_0_0/0.35)]"
          style={{ left: box.left - 4, top: box.top - 4, width: box.width + 8, height: box.height + 8 }}
        />
      )}
      <Popover.Portal>
        <Popover.Content
          key={nth}
          side="top"
          sideOffset={12}
          collisionPadding={16}
          aria-label={stop.title}
          onInteractOutside={(e) => e.preventDefault()}
          className="z-50 w-80 rounded-xl border border-line bg-card p-4 shadow-xl"
        >
          <h2 className="font-title text-lg font-semibold">{stop.title}</h2>
          <p className="pt-1">{stop.text}</p>
          <div className="flex items-center gap-3 pt-3">
            <Button look="main" autoFocus onClick={() => (last ? onDone() : setNth(nth + 1))}>
              {last ? 'Done' : 'Next'}
            </Button>
            {nth > 0 && <Button onClick={() => setNth(nth - 1)}>Back</Button>}
            <span className="figures ml-auto text-sm text-muted">
              {nth + 1} of {STOPS.length}
            </span>
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
