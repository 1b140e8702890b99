import { useRef, useState, type PointerEvent } from 'react';
import { useProgress, type Progress } from '../../api/events';
import type { Take } from '../../api/client';
import { WipeEdge } from '../../parts/WipeEdge';
import { percent } from '../forms/figures';
import { useLastPicture } from './lastPicture';
import { dragOut } from './takeFile';

/** The take in its aspect, as large as the table lets it be; while it is rendered, the growing picture. */
export function TablePicture({ take, overlay, whole }: { take: Take; overlay: string | undefined; whole: boolean }) {
  const progress = useProgress(take.id);
  const [at, setAt] = useState(0.5);
  const box = useRef<HTMLDivElement>(null);
  const move = (e: PointerEvent) => {
    const r = box.current!.getBoundingClientRect();
    setAt(Math.min(1, Math.max(0, (e.clientX - r.left) / r.width)));
  };
  const own = take.pictureUrl ?? progress?.preview;
  // the last picture stays until the next one is there
  const before = useLastPicture(own);
  const picture = own ?? before;
  const part = whole ? 1 : at;
  return (
    <div className="flex min-h-0 w-full flex-1 items-center justify-center" style={{ containerType: 'size' }}>
      <div
        ref={box}
        className="relative bg-black/15 shadow-[0_6px_24px_rgb(0_0_0/0.35)]"
        style={{ aspectRatio: take.width / take.height, width: `min(100cqw, ${(take.width / take.height) * 100}cqh)` }}
        onPointerMove={overlay && !whole ? move : undefined}
      >
        {picture && (
          <img
            src={picture}
            alt={`Take: ${take.prompt}`}
            data-testid="take-picture"
            onDragStart={(e) => take.pictureUrl && dragOut(e, take.pictureUrl, take)}
            className={`h-full w-full object-contain ${take.pictureUrl ? 'arrive' : progress?.preview ? 'blur-[1.5px]' : ''}`}
          />
        )}
        {overlay && (
          <>
            <img
              src={overlay}
              alt="Control"
              className="absolute inset-0 h-full w-full"
              style={{ clipPath: `inset(0 ${(1 - part) * 100}% 0 0)` }}
            />
            {!whole && <WipeEdge label="Wipe between control and take" at={at} onMove={setAt} />}
          </>
        )}
        {!take.pictureUrl && (take.status === 'queued' || take.status === 'rendering') && (
          <ProgressLine progress={progress} />
        )}
      </div>
    </div>
  );
}

function ProgressLine({ progress }: { progress: Progress | undefined }) {
  const fraction = progress?.fraction ?? 0;
  return (
    <div className="absolute inset-x-0 bottom-0 bg-gradient-to-t from-black/70 to-transparent px-3 pt-6 pb-2 text-sm text-white">
      <div className="mb-1">{progress ? `${progress.step} · ${percent(fraction)}` : 'queued'}</div>
      <div
        role="progressbar"
        aria-label="Rendering"
        aria-valuenow={Math.round(fraction * 100)}
        className="h-1 bg-white/25"
      >
        <div className="h-1 bg-white transition-[width]" style={{ width: `${fraction * 100}%` }} />
      </div>
    </div>
  );
}
