import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Mix } from '../../api/client';
import { useProject, useProjects } from '../../api/projects';
import { useMixCovers } from '../../api/queries';
import { saysAll } from '../keys/doable';
import { OneStop } from '../keys/OneStop';

interface Props {
  readonly mixes: readonly Mix[];
  /** What the card of a new mix says. */
  readonly fresh: string;
  /** The mix that has the focus at first; the new one when absent. */
  readonly first?: string;
  /** Undefined for a new mix. */
  readonly onChoose: (mix: Mix | undefined) => void;
}

/** The mixes of every project. */
const ALL = 'all';
/** From so many mixes on they can be searched. */
const MANY = 7;
const card = 'flex w-full flex-col overflow-hidden rounded-lg border border-line bg-card text-left hover:border-ink';

/**
 * Mixes as cards with the picture that stands for each, those of the project that one works in or of another one, found by words of
 * their names and prompts, and one for a new mix. Those that are archived are behind a button.
 */
export function MixCards({ mixes, fresh, first, onChoose }: Props) {
  const covers = useMixCovers();
  const [typed, setTyped] = useState('');
  const [shelf, setShelf] = useState<'kept' | 'archived'>('kept');
  const project = useProject();
  const [folder, setFolder] = useState<string>();
  const of = folder ?? project?.id ?? ALL;
  const own = of === ALL ? mixes : mixes.filter((m) => m.projectId === of);
  const archived = own.filter((m) => m.archived);
  const found = (shelf === 'archived' ? archived : own.filter((m) => !m.archived)).filter(({ name, prompt }) =>
    saysAll(`${name} ${prompt}`, typed),
  );
  return (
    <div className="flex min-h-0 flex-col gap-3">
      <FolderChoice of={of} onChoose={setFolder} />
      {own.length >= MANY && (
        <input
          type="search"
          aria-label="Find a mix"
          placeholder="words of a name or a prompt"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          className="rounded-lg border border-edge bg-card px-2.5 py-1.5"
        />
      )}
      <OneStop
        role="group"
        aria-label="Mixes"
        className="grid min-h-0 grid-cols-[repeat(auto-fill,minmax(150px,1fr))] content-start gap-3 overflow-y-auto p-1"
      >
        <button type="button" autoFocus={!first} onClick={() => onChoose(undefined)} className={card}>
          <span className="grid aspect-[3/2] w-full place-content-center bg-shade text-muted">
            <Plus size={28} aria-hidden />
          </span>
          <span className="px-2 py-1.5 font-semibold">{fresh}</span>
        </button>
        {found.map((mix) => (
          <button
            key={mix.id}
            type="button"
            autoFocus={mix.id === first}
            aria-label={mix.name}
            onClick={() => onChoose(mix)}
            className={card}
          >
            <span className="block aspect-[3/2] w-full bg-shade">
              {covers.get(mix.id) && (
                <img src={covers.get(mix.id)} alt="" loading="lazy" className="h-full w-full object-cover" />
              )}
            </span>
            <span className="w-full px-2 py-1.5 leading-tight">
              <span className="block truncate font-semibold">{mix.name}</span>
              <span className="block truncate text-sm text-muted">{mix.prompt || 'no prompt yet'}</span>
            </span>
          </button>
        ))}
      </OneStop>
      {archived.length > 0 && (
        <button
          type="button"
          className="self-start underline underline-offset-2"
          onClick={() => setShelf(shelf === 'kept' ? 'archived' : 'kept')}
        >
          {shelf === 'kept' ? `Archived mixes (${archived.length})` : 'Mixes that are worked on'}
        </button>
      )}
      {!found.length && typed && <p className="text-muted">No mix has these words.</p>}
    </div>
  );
}

/** Of which project the mixes are; nothing to choose where there is one. */
function FolderChoice({ of, onChoose }: { of: string; onChoose: (of: string) => void }) {
  const { data: projects = [] } = useProjects();
  if (projects.length < 2) return null;
  return (
    <select
      aria-label="Mixes of which project"
      value={of}
      onChange={(e) => onChoose(e.target.value)}
      className="rounded-lg border border-edge bg-card px-2 py-1.5"
    >
      {projects
        .filter((p) => !p.archived || p.id === of)
        .map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      <option value={ALL}>All projects</option>
    </select>
  );
}
