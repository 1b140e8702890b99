import type { Consistency, MixInfluence, Shot } from '../../api/client';
import type { Lookup } from '../../shared/mix/lookup';
import { DriftChart } from './DriftChart';
import { fallOf } from './shots';
import { ShotTile } from './ShotTile';

/** Px between shots. */
export const GAP = 8;

/** What all rows of a sheet have in common. */
export interface RowContext {
  readonly all: readonly Shot[];
  readonly influences: readonly MixInfluence[];
  readonly consistency: Consistency | undefined;
  readonly lookup: Lookup;
  readonly chosen: string | undefined;
  readonly picked: ReadonlySet<string>;
  readonly onChoose: (id: string, e: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
  readonly onOpen: (id: string) => void;
}

interface Props {
  readonly shots: readonly Shot[];
  readonly label: string;
  /** Width of a shot and height of the chart, px. */
  readonly cell: number;
  readonly chart: number;
  readonly context: RowContext;
}

/** Shots side by side, with the drift chart exactly above them. */
export function SheetRow({ shots, label, cell, chart, context }: Props) {
  const { all, influences, consistency, lookup, chosen, picked, onChoose, onOpen } = context;
  return (
    <>
      {/* half a gap wider on both sides than the shots, so that every point stands above the middle of its shot */}
      <div style={{ width: shots.length * (cell + GAP), marginLeft: -GAP / 2 }} className="rounded bg-paper/95">
        <DriftChart {...{ shots, all, influences, consistency, lookup }} height={chart} />
      </div>
      <ul
        aria-label={label}
        className="mt-2 grid"
        style={{ gap: GAP, gridTemplateColumns: `repeat(${shots.length}, ${cell}px)` }}
      >
        {shots.map((shot) => (
          <ShotTile
            key={shot.id}
            shot={shot}
            number={all.indexOf(shot) + 1}
            chosen={shot.id === chosen}
            picked={picked.has(shot.id)}
            fall={fallOf(shot, consistency)}
            worded={cell > 180}
            onChoose={onChoose}
            onOpen={onOpen}
          />
        ))}
      </ul>
    </>
  );
}
