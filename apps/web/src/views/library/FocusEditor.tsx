import { useState } from 'react';
import type { Reference } from '../../api/client';
import { useEngineView, useIsSaving, usePrepare, type Preparation } from '../../api/references';
import { Button } from '../../parts/Button';
import { Slider } from '../../shared/forms/Slider';
import { FaceTools } from './FaceTools';
import { pixelsOf, WHOLE } from './focusBox';
import { FocusFrame } from './FocusFrame';
import { useFocusBox } from './useFocusBox';

/** Crop to what matters, by handles or keys; sharpening, cut-out, flattening. The picture as it came stays. */
export function FocusEditor({ reference: r }: { reference: Reference }) {
  const gives = useEngineView(r);
  const prepare = usePrepare();
  const saving = useIsSaving(r.id);
  const [square, setSquare] = useState(r.kind === 'face');
  const preparation = r.preparation;
  const save = (change: Partial<Preparation>) =>
    prepare.mutate({ reference: r, preparation: { ...preparation, ...change } });
  const focus = useFocusBox({
    kept: preparation.focus,
    aspect: square ? r.width / r.height : undefined,
    onSettle: (box) => save({ focus: box }),
  });
  const { shown, settle } = focus;
  const [w, h] = pixelsOf(shown, r.width, r.height);
  return (
    <div className="flex flex-col gap-4">
      <FocusFrame reference={r} focus={focus} />
      <p className="figures text-sm text-muted" aria-live="polite">
        {saving ? 'It is being prepared …' : `The engine sees ${w} × ${h} px of ${r.width} × ${r.height}`}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button disabled={!gives} onClick={() => gives && settle(gives.proposedFocus)}>
          Propose
        </Button>
        <Button disabled={!preparation.focus} onClick={() => settle(WHOLE)}>
          Whole picture
        </Button>
        <label className="flex items-center gap-1.5 text-sm">
          <input
            type="checkbox"
            checked={square}
            onChange={(e) => setSquare(e.target.checked)}
            className="accent-ink"
          />
          square
        </label>
      </div>
      <PreparationTools preparation={preparation} onSave={save} />
      <FaceTools reference={r} faces={gives?.faces ?? []} focus={shown} />
    </div>
  );
}

/** What is done to a picture besides cropping it: sharpened, cut out, laid over white. */
function PreparationTools({
  preparation,
  onSave,
}: {
  preparation: Preparation;
  onSave: (change: Partial<Preparation>) => void;
}) {
  return (
    <>
      <div className="flex flex-col gap-1 text-sm">
        <span className="flex justify-between font-semibold text-muted">
          Sharpen <span className="figures">{Math.round(preparation.sharpen * 100)} %</span>
        </span>
        <Slider
          label="Sharpen"
          min={0}
          max={1}
          step={0.05}
          value={preparation.sharpen}
          onSave={(sharpen) => onSave({ sharpen })}
        />
      </div>
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          checked={preparation.cutOut}
          onChange={(e) => onSave({ cutOut: e.target.checked })}
          className="mt-0.5 accent-ink"
        />
        <span>
          Take the plain background away
          <span className="block text-sm text-muted">
            It is filled with the colours of the subject, so that none of it leaks.
          </span>
        </span>
      </label>
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          checked={preparation.flatten}
          onChange={(e) => onSave({ flatten: e.target.checked })}
          className="mt-0.5 accent-ink"
        />
        Lay transparency over white
      </label>
    </>
  );
}
