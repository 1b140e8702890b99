import { useEffect } from 'react';
import { useProgress } from '../../api/events';
import type { Frame } from '../../api/sequences';

interface Props {
  readonly frames: readonly Frame[];
  readonly aspect: number;
  readonly at: number;
  /** The frame that holds the others. */
  readonly hold: number | undefined;
  readonly onShow: (k: number) => void;
}

/** All frames side by side, like a strip of film. */
export function FrameStrip({ frames, aspect, at, hold, onShow }: Props) {
  useEffect(() => {
    document.getElementById(`frame-${at}`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [at]);
  return (
    <ul aria-label="Frames" className="flex shrink-0 gap-1 overflow-x-auto bg-scrim/85 px-4 py-2.5">
      {frames.map((f, k) => (
        <Small
          key={`${k} ${f.takeId}`}
          frame={f}
          k={k}
          aspect={aspect}
          shown={k === at}
          holds={k === hold}
          onShow={onShow}
        />
      ))}
    </ul>
  );
}

function Small({
  frame,
  k,
  aspect,
  shown,
  holds,
  onShow,
}: {
  frame: Frame;
  k: number;
  aspect: number;
  shown: boolean;
  holds: boolean;
  onShow: (k: number) => void;
}) {
  const progress = useProgress(frame.takeId);
  const picture = frame.thumbnailUrl ?? progress?.preview;
  const state = frame.error ?? (frame.status === 'done' ? '' : frame.status);
  return (
    <li className="shrink-0">
      <button
        type="button"
        id={`frame-${k}`}
        aria-pressed={shown}
        aria-label={`Frame ${k + 1}${holds ? ', holds the others' : ''}${state ? `, ${state}` : ''}`}
        onClick={() => onShow(k)}
        className={`relative block h-14 bg-white/10 ${shown ? 'outline-2 outline-offset-1 outline-white' : ''}`}
        style={{ aspectRatio: aspect }}
      >
        {picture && <img src={picture} alt="" className="h-full w-full object-cover" />}
        {holds && (
          <span className="absolute inset-x-0 bottom-0 bg-cinnabar text-center text-xs font-semibold text-white">
            holds
          </span>
        )}
      </button>
    </li>
  );
}
