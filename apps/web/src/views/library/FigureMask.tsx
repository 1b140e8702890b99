import { useState } from 'react';
import type { Reference } from '../../api/client';
import { useCorrect } from '../../api/references';
import { Button } from '../../parts/Button';
import { MaskPainter } from '../../shared/mask/MaskPainter';
import { paintOf } from '../../theme/colours';

/** Sets right by brush who is figure and what is ground; who the picture shows is read anew after it. */
export function FigureMask({ reference: r }: { reference: Reference }) {
  const correct = useCorrect();
  const [open, setOpen] = useState(false);
  const byHand = !!r.corrections.matte;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <Button onClick={() => setOpen(true)}>Paint who is figure</Button>
      {byHand && (
        <>
          <Button look="plain" className="text-sm" onClick={() => correct(r, { matte: '' })}>
            As found
          </Button>
          <span className="text-sm text-muted">painted by hand</span>
        </>
      )}
      {open && (
        <MaskPainter
          title="Who is figure"
          picture={{ url: r.sourceUrl, alt: r.alt }}
          aspect={r.width / r.height}
          mask={r.matte ? { content: r.matte, invert: false, feather: 0 } : undefined}
          hue={paintOf(r.kind)}
          plain
          onSave={({ content }) => correct(r, { matte: content })}
          onClear={byHand ? () => correct(r, { matte: '' }) : undefined}
          onClose={() => setOpen(false)}
        />
      )}
    </div>
  );
}
