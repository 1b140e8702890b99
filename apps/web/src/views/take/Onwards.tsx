import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Take } from '../../api/client';
import { keys } from '../../api/keys';
import { useAct } from '../../api/sheets';
import { useAdopt } from '../../api/trials';
import { Button } from '../../parts/Button';

/** What can be done with it. */
export function Onwards({ take }: { take: Take }) {
  const go = useNavigate();
  const adopt = useAdopt(take.mixId ?? '');
  const [busy, setBusy] = useState(false);
  const { enlarge, redraw, more, keep, newMix } = useMaking(take);
  const act = async (what: () => Promise<unknown>) => {
    setBusy(true);
    await what();
    setBusy(false);
  };
  /** Makes it again, and shows both. */
  const compared = async (again: () => Promise<Take | undefined>) => {
    const made = await again();
    if (made) void go(`/takes/${made.id}?against=from&mode=wipe`);
  };
  const done = take.status === 'done' && !busy;
  const state = { prompt: take.prompt, avoid: take.avoid, settings: take.settings, influences: take.influences };
  return (
    <section aria-label="Go on" className="mt-auto flex flex-col gap-2">
      {take.mixId && (
        <Button
          look="main"
          disabled={!done}
          onClick={() =>
            void act(async () => {
              if (await adopt(state, 'The bench has everything that made this take now.'))
                void go(`/bench/${take.mixId}`);
            })
          }
        >
          Load this take on the bench
        </Button>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Button disabled={!done} onClick={() => void act(more)}>
          Four more like it
        </Button>
        <Button
          disabled={!done}
          onClick={() =>
            void act(async () => {
              const made = await newMix();
              if (made) void go(`/bench/${made.id}`);
            })
          }
        >
          As a new mix
        </Button>
        {take.olderEngine && (
          <Button
            disabled={!done}
            className="col-span-2"
            title={`This was drawn by ${take.engine}. The redrawn picture is a take of its own, shown beside this one.`}
            onClick={() => void act(() => compared(() => redraw()))}
          >
            Redraw with the newer engine
          </Button>
        )}
        {[2, 4].map((times) => (
          <Button
            key={times}
            disabled={!done || Math.max(take.width, take.height) * times > 2048}
            title={
              Math.max(take.width, take.height) * times > 2048 ? 'more than 2048 px on the longer side' : undefined
            }
            onClick={() => void act(() => compared(() => enlarge(times)))}
          >
            {times} × as large
          </Button>
        ))}
        <Button disabled={!done} onClick={() => void act(keep)} className="col-span-2">
          Make it a reference
        </Button>
      </div>
    </section>
  );
}

/** What can be made of a take. */
function useMaking(take: Take) {
  const key = keys.takes(take.mixId ?? '');
  const enlarge = useAct(key, (times: number) =>
    ask(api.POST('/api/v1/takes/{id}/enlarge', { params: { path: { id: take.id } }, body: { times } })),
  );
  const redraw = useAct(key, () => ask(api.POST('/api/v1/takes/{id}/redraw', { params: { path: { id: take.id } } })));
  const more = useAct(key, () =>
    ask(api.POST('/api/v1/takes/{id}/more', { params: { path: { id: take.id } }, body: { count: 4 } })),
  );
  const keep = useAct(keys.imports, () => ask(api.POST('/api/v1/imports/from-take', { body: { takeId: take.id } })));
  const newMix = useAct(keys.mixes, () =>
    ask(api.POST('/api/v1/takes/{id}/mix', { params: { path: { id: take.id } } })),
  );
  return { enlarge, redraw, more, keep, newMix };
}
