import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Shot } from '../../api/client';
import { useNewSequence, type FrameMove, type NewSequence } from '../../api/sequences';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import { ViewPicker } from './ViewPicker';
import { WAYS, WHOLE } from '../../shared/pictures/windows';
import { Slider } from '../../shared/forms/Slider';

const COUNTS = [8, 12, 16, 24, 36, 48];

/** Sets a shot in motion: where the camera looks first and last, where the figure goes, which words it ends with. */
export function MotionDialog({
  seriesId,
  shot,
  picture,
  onClose,
}: {
  seriesId: string;
  shot: Shot;
  picture: string | undefined;
  onClose: () => void;
}) {
  const go = useNavigate();
  const make = useNewSequence(seriesId);
  const [camera, setCamera] = useState<NonNullable<FrameMove['camera']>>({ from: WAYS[0].from, to: WAYS[0].to });
  const [across, setAcross] = useState(0);
  const [towards, setTowards] = useState('');
  const [frames, setFrames] = useState(12);
  const [quality, setQuality] = useState<NonNullable<NewSequence['quality']>>('draft');
  const still = JSON.stringify(camera.from) === JSON.stringify(camera.to);
  const nothing = still && !across && !towards.trim();
  const begin = () =>
    make.mutate(
      {
        name: shot.title,
        shotId: shot.id,
        frames,
        quality,
        move: {
          ...(still && camera.from.size === 1 ? {} : { camera }),
          ...(across ? { across } : {}),
          ...(towards.trim() ? { towards } : {}),
        },
      },
      { onSuccess: (s) => void go(`/sequences/${s.id}`) },
    );
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 grid max-h-[94vh] w-[62rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 grid-cols-[minmax(0,1fr)_20rem] gap-5 overflow-y-auto rounded-2xl bg-paper p-5 shadow-2xl"
      onClose={onClose}
    >
      <Dialog.Title className="col-span-2 font-title text-xl">Set “{shot.title}” in motion</Dialog.Title>
      <div className="flex flex-col gap-2">
        <ViewPicker
          picture={picture}
          from={camera.from}
          to={camera.to}
          onChange={(from, to) => setCamera({ from, to })}
        />
        <p className="text-sm text-muted">
          The camera goes from the white window to the red one. Drag them, or use the arrows, + and -.
        </p>
      </div>
      <div className="flex flex-col gap-4">
        <div role="group" aria-label="Ways of the camera" className="flex flex-wrap gap-1.5">
          {WAYS.map((w) => (
            <Button key={w.name} className="text-sm" onClick={() => setCamera({ from: w.from, to: w.to })}>
              {w.name}
            </Button>
          ))}
          <Button className="text-sm" onClick={() => setCamera({ from: WHOLE, to: WHOLE })}>
            Stand still
          </Button>
        </div>
        <div className="flex flex-col gap-1">
          <span className="flex justify-between">
            <span>The first figure goes</span>
            <span className="figures text-muted">
              {across ? `${Math.abs(Math.round(across * 100))} % ${across > 0 ? 'right' : 'left'}` : 'nowhere'}
            </span>
          </span>
          <Slider
            label="Where the first figure goes"
            min={-0.8}
            max={0.8}
            step={0.1}
            value={across}
            onMove={setAcross}
          />
        </div>
        <label className="flex flex-col gap-1">
          <span>Words of the last frame</span>
          <textarea
            rows={3}
            maxLength={2000}
            value={towards}
            placeholder="the same words throughout"
            onChange={(e) => setTowards(e.target.value)}
            className="rounded-lg border border-line bg-card px-2.5 py-1.5"
          />
        </label>
        <div className="flex gap-3">
          <label className="flex flex-1 flex-col gap-1">
            Frames
            <select
              value={frames}
              onChange={(e) => setFrames(Number(e.target.value))}
              className="rounded-lg border border-line bg-card px-2 py-1.5"
            >
              {COUNTS.map((n) => (
                <option key={n}>{n}</option>
              ))}
            </select>
          </label>
          <label className="flex flex-1 flex-col gap-1">
            Quality
            <select
              value={quality}
              onChange={(e) => setQuality(e.target.value as typeof quality)}
              className="rounded-lg border border-line bg-card px-2 py-1.5"
            >
              <option>draft</option>
              <option>proof</option>
            </select>
          </label>
        </div>
        <div className="mt-auto flex justify-end gap-2">
          <Button onClick={onClose}>Close</Button>
          <Button look="main" disabled={nothing || make.isPending} onClick={begin}>
            Render {frames} frames
          </Button>
        </div>
      </div>
    </DialogFrame>
  );
}
