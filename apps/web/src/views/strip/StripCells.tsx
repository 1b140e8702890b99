import type { Strip } from '../../api/trials';
import type { Lookup } from '../../shared/mix/lookup';
import { ArrivalCurves } from './ArrivalCurves';
import { StripCell } from './StripCell';

interface Props {
  readonly strip: Strip;
  readonly lookup: Lookup;
  readonly label: (cell: number) => string;
  readonly chosen: number;
  readonly best: number | undefined;
  readonly onChoose: (cell: number) => void;
}

/** The cells of a strip with their values beside the control; beneath a strip of one row the curves of what arrives. */
export function StripCells({ strip, lookup, label, chosen, best, onChoose }: Props) {
  const { cells, axes } = strip;
  const [across, down] = axes;
  const wide = across.values.length;
  const control = cells.find((c) => c.control)?.control;
  const aspect = cells[chosen].width / cells[chosen].height;
  return (
    <div className="flex max-h-[17rem] min-h-0 gap-3 overflow-auto border-t border-line bg-paper px-4 py-2">
      {control && (
        <figure className="w-28 shrink-0">
          <div className="bg-shade" style={{ aspectRatio: aspect }}>
            {control.thumbnailUrl && <img src={control.thumbnailUrl} alt="Control" className="h-full w-full" />}
          </div>
          <figcaption className="text-sm text-muted">control</figcaption>
        </figure>
      )}
      {/* as wide as lets the curves and what they are be seen beneath the cells */}
      <div className="min-w-0 flex-1" style={{ maxWidth: down ? undefined : `${wide * Math.max(6, 7 * aspect)}rem` }}>
        <ul
          aria-label="Cells"
          data-main="Cells"
          className="grid gap-1.5"
          style={{ gridTemplateColumns: `repeat(${wide}, minmax(5.5rem, ${down ? '9rem' : '1fr'}))` }}
        >
          {cells.map((cell, k) => (
            <StripCell
              key={k}
              take={cell}
              label={label(k)}
              chosen={k === chosen}
              best={k === best}
              onChoose={() => onChoose(k)}
            />
          ))}
        </ul>
        {!down && (
          <div className="-mx-[3px] pt-1">
            <ArrivalCurves
              cells={cells}
              labels={cells.map((_, k) => label(k))}
              influences={strip.state.influences}
              lookup={lookup}
            />
          </div>
        )}
      </div>
    </div>
  );
}
