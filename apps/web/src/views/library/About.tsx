import { X } from 'lucide-react';
import { useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import type { Reference } from '../../api/client';
import { useNewMix } from '../../api/queries';
import { useChangeReference } from '../../api/references';
import { Editable } from '../../shared/forms/Editable';
import { useMadeWith } from '../../api/sheets';
import { KindChoice, Marks, RightsForm } from './SharedFields';
import { Versions } from './Versions';
import { carry } from '../../parts/carry';

interface Props {
  readonly reference: Reference;
  readonly onLike: (id: string, by: 'content' | 'style') => void;
  readonly onColour: (colour: string) => void;
}

/** Title, kind, palette, words, rights and uses of one picture. */
export function About({ reference: r, onLike, onColour }: Props) {
  const change = useChangeReference();
  const save = (fields: { title?: string; tags?: string[]; notes?: string }) =>
    change.mutate({ reference: r, change: fields });
  return (
    <div className="flex flex-col gap-4">
      <Editable
        label="Title"
        value={r.title}
        className="font-title text-xl font-semibold"
        onSave={(title) => title && save({ title })}
      />
      <figure>
        <img
          {...carry({ of: 'reference', id: r.id })}
          src={r.sourceUrl}
          alt={r.alt}
          className="arrive max-h-56 w-full bg-booth object-contain"
        />
        <figcaption className="figures mt-1 flex gap-3 text-sm text-muted">
          <span className="flex-1">
            {r.width} × {r.height} {r.format.toUpperCase()}
            {r.view && (r.kind === 'face' || r.kind === 'character') ? `, ${r.view}` : ''}
          </span>
          <button
            type="button"
            className="underline underline-offset-2 hover:text-ink"
            onClick={() => onLike(r.id, 'content')}
          >
            like this
          </button>
          <button
            type="button"
            className="underline underline-offset-2 hover:text-ink"
            onClick={() => onLike(r.id, 'style')}
          >
            made like this
          </button>
        </figcaption>
      </figure>
      <Marks ids={[r.id]} references={[r]} />
      <KindChoice ids={[r.id]} references={[r]} />
      <section>
        <h3 className="mb-1 text-sm font-semibold text-muted">Palette; choose one to find its like</h3>
        <div className="flex h-8 overflow-hidden rounded-md">
          {r.swatches.map((s) => (
            <button
              key={s.colour}
              type="button"
              aria-label={`Pictures with ${s.colour}, which is ${Math.round(s.weight * 100)} percent of this one`}
              onClick={() => onColour(s.colour)}
              className="min-w-6"
              style={{ background: s.colour, flexGrow: s.weight }}
            />
          ))}
        </div>
      </section>
      <Tags tags={r.tags} onSave={(tags) => save({ tags })} />
      <Editable label="Notes" value={r.notes} long onSave={(notes) => save({ notes })} />
      <RightsForm ids={[r.id]} references={[r]} />
      <Said reference={r} />
      <InWords reference={r} />
      <Uses reference={r} />
      <Versions reference={r} />
    </div>
  );
}

/** What the file says of itself. */
function Said({ reference: { metadata } }: { reference: Reference }) {
  const lines = Object.entries({
    title: metadata.title,
    by: metadata.creator,
    credit: metadata.credit,
    rights: metadata.rights,
    taken: metadata.taken,
    origin: metadata.aiSource,
  }).filter(([, v]) => v);
  if (!lines.length) return null;
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">What the file says of itself</h3>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
        {lines.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-muted">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** The picture put into words: each of them can begin a mix. */
function InWords({ reference: { prompts, title } }: { reference: Reference }) {
  const go = useNavigate();
  const newMix = useNewMix();
  if (!prompts.length) return null;
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">In words; choose one to begin a mix</h3>
      <ul className="flex flex-col gap-1">
        {prompts.map((prompt) => (
          <li key={prompt}>
            <button
              type="button"
              className="w-full rounded-md border border-line bg-card px-2 py-1 text-left hover:border-edge"
              onClick={() =>
                newMix.mutate(
                  { name: title.slice(0, 120), prompt },
                  { onSuccess: (mix) => void go(`/bench/${mix.id}`) },
                )
              }
            >
              {prompt}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Uses({ reference: r }: { reference: Reference }) {
  const { data: takes } = useMadeWith(r.id);
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Made with it</h3>
      {takes?.length ? (
        <div className="grid grid-cols-4 gap-1">
          {takes.slice(0, 8).map((t) => (
            <img key={t.id} src={t.thumbnailUrl} alt={t.prompt} className="aspect-square w-full object-cover" />
          ))}
        </div>
      ) : null}
      <p className="mt-1 text-sm text-muted">
        {r.usedIn ? `Used in ${r.usedIn} ${r.usedIn === 1 ? 'mix' : 'mixes'}` : 'Not used in a mix yet'} · came{' '}
        {new Date(r.createdAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}
      </p>
    </section>
  );
}

/** Tags with a field for a new one. */
function Tags({ tags, onSave }: { tags: readonly string[]; onSave: (tags: string[]) => void }) {
  const [text, setText] = useState('');
  const onKey = (e: KeyboardEvent) => {
    if (e.key !== 'Enter' || !text.trim()) return;
    onSave([...tags, text.trim()]);
    setText('');
  };
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">Tags</h3>
      <div className="flex flex-wrap gap-1.5">
        {tags.map((t) => (
          <span
            key={t}
            className="flex items-center gap-1 rounded-full border border-line bg-card pr-0.5 pl-2.5 text-sm"
          >
            {t}
            <button
              type="button"
              aria-label={`Remove the tag ${t}`}
              className="grid size-6 place-items-center rounded-full hover:bg-shade"
              onClick={() => onSave(tags.filter((x) => x !== t))}
            >
              <X size={12} aria-hidden />
            </button>
          </span>
        ))}
        <input
          aria-label="New tag"
          placeholder="new tag"
          value={text}
          maxLength={60}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={onKey}
          className="w-24 rounded-full border border-dashed border-edge bg-transparent px-2.5 py-0.5 text-sm"
        />
      </div>
    </section>
  );
}
