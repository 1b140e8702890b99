import { Pause, Play } from 'lucide-react';
import { Slider } from '../../shared/forms/Slider';

/** Frames a second that a sequence is played and handed over with. */
export const RATES = [4, 8, 12, 24];

interface Props {
  /** The frame that is shown, from 0. */
  readonly at: number;
  readonly count: number;
  readonly rate: number;
  readonly playing: boolean;
  readonly onPlay: (plays: boolean) => void;
  readonly onShow: (frame: number) => void;
  readonly onRate: (rate: string) => void;
}

/** Plays and stops a sequence, goes to a frame, and says how fast. */
export function PlayerBar({ at, count, rate, playing, onPlay, onShow, onRate }: Props) {
  return (
    <div className="flex items-center gap-3 bg-scrim/85 px-4 pt-2 text-white">
      <button
        type="button"
        aria-label={playing ? 'Stop' : 'Play'}
        onClick={() => onPlay(!playing)}
        className="rounded-full bg-card p-2 text-ink"
      >
        {playing ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
      </button>
      <Slider
        label="Frame"
        say={(v) => `frame ${v + 1} of ${count}`}
        min={0}
        max={count - 1}
        step={1}
        value={at}
        tone="bg-white"
        onMove={onShow}
        className="min-w-0 flex-1"
      />
      <span className="figures w-14 text-right">
        {at + 1} / {count}
      </span>
      <label className="flex items-center gap-1.5 text-sm">
        <select
          aria-label="Frames a second"
          value={rate}
          onChange={(e) => onRate(e.target.value)}
          className="rounded bg-card px-1.5 py-1 text-ink"
        >
          {RATES.map((r) => (
            <option key={r}>{r}</option>
          ))}
        </select>
        a second
      </label>
    </div>
  );
}
