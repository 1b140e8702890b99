import { MAX_WEIGHT } from '@urbild/core';
import type { MixInfluence } from '../../api/client';
import { Slider } from '../../shared/forms/Slider';

interface Props {
  readonly name: string;
  readonly influence: MixInfluence;
  /** `live` while the hand moves. */
  readonly onWeigh: (weight: number, live: boolean) => void;
}

/** The weight of one influence, to be moved. */
export function WeightRow({ name, influence: { weight, gives }, onWeigh }: Props) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline pb-2">
      <span className="truncate font-semibold">
        {name} <span className="font-normal text-muted">gives {gives}</span>
      </span>
      <span className="figures font-semibold">{weight.toFixed(2)}</span>
      <Slider
        label={`Weight of ${name}`}
        value={weight}
        min={0}
        max={MAX_WEIGHT}
        step={0.05}
        onMove={(w) => onWeigh(w, true)}
        onSave={(w) => onWeigh(w, false)}
        className="col-span-2"
      />
    </div>
  );
}
