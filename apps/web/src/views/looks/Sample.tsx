import { api, ask } from '../../api/client';
import { useProgress } from '../../api/events';
import { keys } from '../../api/keys';
import { useAct, useTake, type Look } from '../../api/sheets';
import { Button } from '../../parts/Button';

/** One plate drawn with the look; the words and the seed are the same for every look, so that looks can be compared. */
export function Sample({ look }: { look: Look }) {
  const { data: take } = useTake(look.sampleTakeId);
  const progress = useProgress(look.sampleTakeId);
  const draw = useAct(keys.looks, () =>
    ask(api.POST('/api/v1/looks/{id}/sample', { params: { path: { id: look.id } } })),
  );
  const busy = take?.status === 'queued' || take?.status === 'rendering';
  const picture = take?.status === 'done' ? take.pictureUrl : progress?.preview;
  return (
    <section aria-label="Sample drawn with the look">
      {picture ? (
        <img src={picture} alt={`A sample drawn with ${look.name}`} className="w-full bg-booth" />
      ) : (
        <div className="grid h-40 place-content-center bg-shade p-4 text-center text-sm text-muted">
          {busy ? 'It is being drawn …' : 'A sample shows what this look does to a picture.'}
        </div>
      )}
      <Button className="mt-2 w-full" disabled={busy || !look.items.length} onClick={() => void draw()}>
        {take?.status === 'done' ? 'Draw the sample again' : 'Draw a sample'}
      </Button>
    </section>
  );
}
