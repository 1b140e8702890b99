import { useState } from 'react';
import type { Reference } from '../../api/client';
import { useCorrect, useEngineView, type EngineView } from '../../api/references';
import { Button } from '../../parts/Button';
import { AreasSeen } from './AreasSeen';
import { FigureMask } from './FigureMask';
import { HeadSeen } from './HeadSeen';
import { JointsEditor } from './JointsEditor';
import { LayoutReading } from './LayoutReading';
import { Slider } from '../../shared/forms/Slider';

/** Just what the engine gets, for every way of using the picture; what can be set right is set right here. */
export function EngineGets({ reference: r }: { reference: Reference }) {
  const gives = useEngineView(r);
  const [actual, setActual] = useState(false);
  if (!gives) return <div className="skeleton h-96" aria-label="It is being read" />;
  return (
    <div className="flex flex-col gap-4">
      <label className="flex items-center gap-1.5 text-sm">
        <input type="checkbox" checked={actual} onChange={(e) => setActual(e.target.checked)} className="accent-ink" />
        at true size
      </label>
      <Shown
        title={`The picture, ${gives.width} × ${gives.height} px`}
        url={gives.pictureUrl}
        actual={actual}
        alt={`What the engine sees of ${r.title}`}
      />
      {(r.headUrl || r.kind === 'character' || r.kind === 'face') && (
        <section>
          <h3 className="mb-1 text-sm font-semibold text-muted">Who it shows</h3>
          {r.headUrl && <HeadSeen url={r.headUrl} />}
          <FigureMask reference={r} />
        </section>
      )}
      <Palette reference={r} />
      <LayoutReading reference={r} gives={gives} />
      {gives.layout.read === 'picture' && <AreasSeen reference={r} gives={gives} />}
      <HorizonLine reference={r} gives={gives} />
      <Shown
        title={gives.isLineDrawing ? 'Lines: it is a line drawing and used unread' : 'Lines'}
        url={gives.linesUrl}
        actual={actual}
        alt={`Lines of ${r.title}`}
      />
      <Shown title="Near (light) and far" url={gives.depthUrl} actual={actual} alt={`Near and far in ${r.title}`} />
      <Shown
        title={gives.isShape ? 'Shape' : 'Shape: not two-valued, so it is not fit for one'}
        url={gives.shapeUrl}
        actual={actual}
        alt={`Silhouette of ${r.title}`}
      />
      <JointsEditor reference={r} gives={gives} />
    </div>
  );
}

function Shown({ title, url, alt, actual }: { title: string; url: string; alt: string; actual: boolean }) {
  return (
    <figure>
      <figcaption className="mb-1 text-sm font-semibold text-muted">{title}</figcaption>
      <div className="max-h-80 overflow-auto bg-booth" tabIndex={actual ? 0 : undefined}>
        <img src={url} alt={alt} className={actual ? 'max-w-none' : 'w-full'} />
      </div>
    </figure>
  );
}

function Palette({ reference: r }: { reference: Reference }) {
  const correct = useCorrect();
  const byHand = r.corrections.swatches;
  const swatches = byHand.length ? byHand : r.swatches;
  const save = (next: Reference['swatches']) => correct(r, { swatches: next });
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Palette, with its weights</h3>
      <ul className="flex flex-col gap-1">
        {swatches.map((s, k) => (
          <li key={`${s.colour}${k}`} className="flex items-center gap-2 text-sm">
            <input
              type="color"
              aria-label={`Colour ${k + 1}`}
              defaultValue={s.colour}
              onBlur={(e) =>
                e.target.value !== s.colour &&
                save(swatches.map((x, i) => (i === k ? { ...x, colour: e.target.value } : x)))
              }
              className="h-6 w-10"
            />
            <div className="h-2 rounded bg-edge" style={{ width: `${s.weight * 60}%` }} />
            <span className="figures ml-auto">{Math.round(s.weight * 100)} %</span>
          </li>
        ))}
      </ul>
      {byHand.length > 0 && (
        <Button look="plain" className="text-sm" onClick={() => save([])}>
          As read
        </Button>
      )}
    </section>
  );
}

function HorizonLine({ reference: r, gives }: { reference: Reference; gives: EngineView }) {
  const correct = useCorrect();
  const [at, setAt] = useState<number | undefined>(undefined);
  const { horizon, layout } = gives;
  // a map tells its horizon itself, or none, unless a person has put one
  const mapped = layout.read !== 'picture' && !horizon.byHand;
  const inForce = at !== undefined || !mapped;
  const save = (to: number) => {
    correct(r, { horizon: to });
    setAt(undefined);
  };
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Horizon</h3>
      <div className="relative">
        <img src={gives.pictureUrl} alt={`The horizon of ${r.title}`} className="w-full" />
        {inForce && (
          <div
            aria-hidden
            className="absolute inset-x-0 border-t-2 border-cinnabar"
            style={{ top: `${(at ?? horizon.at) * 100}%` }}
          />
        )}
      </div>
      <div className="mt-1 flex items-center gap-2 text-sm text-muted">
        horizon
        <Slider
          label="Horizon, from the top"
          say={(v) => `${Math.round(v * 100)} % from the top`}
          min={0}
          max={1}
          step={0.01}
          value={at ?? horizon.at}
          onMove={setAt}
          onSave={save}
          className="min-w-0 flex-1"
        />
        <span className="figures w-24 text-right">
          {mapped
            ? layout.read === 'areas'
              ? 'its sky ends it'
              : 'none'
            : horizon.byHand
              ? 'by hand'
              : horizon.confidence > 0.35
                ? 'found'
                : 'a guess'}
        </span>
      </div>
      {horizon.byHand && (
        <Button look="plain" className="text-sm" onClick={() => correct(r, { horizon: -1 })}>
          As read
        </Button>
      )}
    </section>
  );
}
