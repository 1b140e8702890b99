import { MAX_PROMPT_LENGTH } from '@urbild/core';
import { Dialog } from 'radix-ui';
import type { Shot } from '../../api/client';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import { Slider } from '../../shared/forms/Slider';
import { WAYS, WHOLE } from '../../shared/pictures/windows';
import { useMotion, type Motion } from './useMotion';
import { ViewPicker } from './ViewPicker';

const COUNTS = [8, 12, 16, 24, 36, 48];

interface Props {
  readonly seriesId: string;
  readonly shot: Shot;
  readonly picture: string | undefined;
  readonly onClose: () => void;
}

/** Sets a shot in motion: where the camera looks first and last, where the figure goes, which words it ends with. */
export function MotionDialog({ seriesId, shot, picture, onClose }: Props) {
  const { motion, set, ready, begin } = useMotion(seriesId, shot);
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 grid max-h-[94vh] w-[62rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 grid-cols-[minmax(0,1fr)_20rem] gap-5 overflow-y-auto rounded-2xl bg-paper p-5 shadow-2xl"
      onClose={onClose}
    >
      <Dialog.Title className="col-span-2 font-title text-xl">Set “{shot.title}” in motion</Dialog.Title>
      <div className="flex flex-col gap-2">
        <ViewPicker
          picture={picture}
          from={motion.camera.from}
          to={motion.camera.to}
          onChange={(from, to) => set({ camera: { from, to } })}
        />
        <p className="text-sm text-muted">
          The camera goes from the white window to the red one. Drag them, or use the arrows, + and -.
        </p>
      </div>
      <div className="flex flex-col gap-4">
        <Ways onWay={(camera) => set({ camera })} />
        <Across across={motion.across} onAcross={(across) => set({ across })} />
        <label className="flex flex-col gap-1">
          <span>Words of the last frame</span>
          <textarea
            rows={3}
            maxLength={MAX_PROMPT_LENGTH}
            value={motion.towards}
            placeholder="the same words throughout"
            onChange={(e) => set({ towards: e.target.value })}
            className="rounded-lg border border-line bg-card px-2.5 py-1.5"
          />
        </label>
        <div className="flex gap-3">
          <Choice
            label="Frames"
            values={COUNTS.map(String)}
            value={String(motion.frames)}
            onChoice={(n) => set({ frames: Number(n) })}
          />
          <Choice
            label="Quality"
            values={['draft', 'proof']}
            value={motion.quality}
            onChoice={(q) => set({ quality: q as Motion['quality'] })}
          />
        </div>
        <div className="mt-auto flex justify-end gap-2">
          <Button onClick={onClose}>Close</Button>
          <Button look="main" disabled={!ready} onClick={begin}>
            Render {motion.frames} frames
          </Button>
        </div>
      </div>
    </DialogFrame>
  );
}

function Ways({ onWay }: { onWay: (camera: Motion['camera']) => void }) {
  return (
    <div role="group" aria-label="Ways of the camera" className="flex flex-wrap gap-1.5">
      {[...WAYS, { name: 'Stand still', from: WHOLE, to: WHOLE }].map(({ name, from, to }) => (
        <Button key={name} className="text-sm" onClick={() => onWay({ from, to })}>
          {name}
        </Button>
      ))}
    </div>
  );
}

function Across({ across, onAcross }: { across: number; onAcross: (across: number) => void }) {
  return (
    <div className="flex flex-col gap-1">
      <span className="flex justify-between">
        <span>The first figure goes</span>
        <span className="figures text-muted">
          {across ? `${Math.abs(Math.round(across * 100))} % ${across > 0 ? 'right' : 'left'}` : 'nowhere'}
        </span>
      </span>
      <Slider label="Where the first figure goes" min={-0.8} max={0.8} step={0.1} value={across} onMove={onAcross} />
    </div>
  );
}

function Choice(props: { label: string; values: readonly string[]; value: string; onChoice: (value: string) => void }) {
  return (
    <label className="flex flex-1 flex-col gap-1">
      {props.label}
      <select
        value={props.value}
        onChange={(e) => props.onChoice(e.target.value)}
        className="rounded-lg border border-line bg-card px-2 py-1.5"
      >
        {props.values.map((v) => (
          <option key={v}>{v}</option>
        ))}
      </select>
    </label>
  );
}
