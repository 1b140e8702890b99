import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Series, type Shot } from '../../api/client';
import { keys } from '../../api/keys';

import { Button } from '../../parts/Button';
import { KindSign } from '../../parts/KindSign';
import { useNotice } from '../../parts/notices';
import { percent, type Lookup } from '../bench/influences';
import { Marked } from '../bench/WordsLane';

/** The sheet of the chosen shot: its words and seed, its control, what arrived. */
export function ShotSheet({ shot, lookup }: { shot: Shot; lookup: Lookup }) {
  const client = useQueryClient();
  const tell = useNotice();
  const [title, setTitle] = useState(shot.title);
  const [prompt, setPrompt] = useState(shot.prompt);
  const [seed, setSeed] = useState(String(shot.seed));
  const keep = (series: Series) =>
    client.setQueryData<Series[]>(keys.series, (all) => all?.map((s) => (s.id === series.id ? series : s)));
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.PATCH('/api/v1/shots/{id}', {
          params: { path: { id: shot.id } },
          body: { version: shot.version, title: title.trim() || shot.title, prompt, seed: Number(seed) || 0 },
        }),
      ),
    onSuccess: keep,
    onError: (e) => tell(e.message, { grave: true }),
  });
  const remove = () =>
    void ask(api.DELETE('/api/v1/shots/{id}', { params: { path: { id: shot.id } } }))
      .then(keep)
      .catch((e: Error) => tell(e.message, { grave: true }));
  const changed = title !== shot.title || prompt !== shot.prompt || seed !== String(shot.seed);
  const take = shot.takes.find((t) => t.status === 'done');
  return (
    <section
      aria-label={`Shot ${shot.title}`}
      className="grid grid-cols-[minmax(0,1fr)_12rem_16rem] gap-5 border-t border-line bg-paper px-4 py-3"
    >
      <form
        className="flex flex-col gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate();
        }}
      >
        <input
          aria-label="Title of the shot"
          value={title}
          maxLength={120}
          onChange={(e) => setTitle(e.target.value)}
          className="rounded bg-transparent font-title text-lg font-semibold hover:bg-shade"
        />
        <textarea
          aria-label="Words of the shot"
          rows={2}
          value={prompt}
          maxLength={2000}
          onChange={(e) => setPrompt(e.target.value)}
          className="resize-none rounded-lg border border-line bg-card px-2.5 py-1.5"
        />
        <p className="text-sm text-muted">
          Understood: <Marked prompt={prompt} />
        </p>
        <div className="flex items-center gap-2">
          <label className="flex items-center gap-2 rounded-lg border border-line bg-card px-2.5 py-1">
            <span className="text-muted">Seed</span>
            <input
              aria-label="Seed of the shot"
              inputMode="numeric"
              value={seed}
              onChange={(e) => setSeed(e.target.value.replace(/\D/g, '').slice(0, 9))}
              className="figures w-20 bg-transparent text-right"
            />
          </label>
          <Button type="submit" disabled={!changed || save.isPending}>
            Save the shot
          </Button>
          <Button look="plain" onClick={remove} className="ml-auto text-sm">
            Take it out
          </Button>
        </div>
      </form>
      <figure>
        {take?.control?.pictureUrl && (
          <>
            <img
              src={take.control.pictureUrl}
              alt="Control: the same words and seed without references"
              className="w-full"
            />
            <figcaption className="mt-1 text-sm text-muted">Control, no references</figcaption>
          </>
        )}
      </figure>
      <ul aria-label="What arrived" className="flex flex-col gap-1.5">
        <li className="text-sm font-semibold text-muted">What arrived</li>
        {take?.influences.map((i) => (
          <li key={i.id} className="flex items-center gap-2">
            <KindSign kind={lookup.hue(i)} size={14} />
            <span className="flex-1 truncate">{lookup.name(i)}</span>
            <span className="figures font-semibold">
              {arrivalText(take.arrivals.find((a) => a.influenceId === i.id)?.overall)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const arrivalText = (value: number | undefined) => (value === undefined ? '–' : percent(value));
