import type { Reference } from '../../api/client';
import { useCorrect, type Box, type EngineView } from '../../api/references';
import { Button } from '../../parts/Button';

const WORDS: Readonly<Record<Reference['visionState'], string>> = {
  waiting: 'Nobody has looked for faces yet.',
  done: 'No face was found.',
  'needs-box': 'No face was found. Set the focus around it, then say so here.',
  unavailable: 'There are no vision models here. Set the focus around a face, then say so here.',
};

/** The faces that were found, and how to say where one is when none was. */
export function FaceTools({
  reference: r,
  faces,
  focus,
}: {
  reference: Reference;
  faces: EngineView['faces'];
  focus: Box;
}) {
  const correct = useCorrect();
  const byHand = faces.some((f) => f.byHand);
  return (
    <section className="border-t border-line pt-3">
      <h3 className="mb-1 text-sm font-semibold text-muted">Face</h3>
      {faces.length ? (
        <ul className="text-sm">
          {faces.map((f, k) => (
            <li key={k}>
              {f.byHand
                ? 'Drawn by hand'
                : `Found${f.yaw === undefined ? '' : `, turned ${Math.abs(Math.round(f.yaw))}°`}`}
              , {Math.round((f.box.right - f.box.left) * r.width)} px wide
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-sm text-muted">{WORDS[r.visionState]}</p>
      )}
      <div className="mt-2 flex gap-2">
        <Button onClick={() => correct(r, { faces: [{ box: focus, score: 1, byHand: true }] })}>
          The focus is the face
        </Button>
        {byHand && <Button onClick={() => correct(r, { faces: [] })}>As found</Button>}
      </div>
    </section>
  );
}
