import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Mix } from '../../api/client';
import { useProjects } from '../../api/projects';
import { useSeriesOfMix } from '../../api/series';
import { Button } from '../../parts/Button';
import { Tip } from '../../parts/Tip';
import { MixDialog } from '../../shared/mix/MixDialog';

interface MixNameProps {
  readonly name: string;
  readonly mixes: readonly Mix[];
  readonly mixId: string;
  readonly archived: boolean;
  readonly projectId: string;
  readonly onMove: (projectId: string) => void;
  readonly onArchive: (archived: boolean) => void;
  readonly onRename: (name: string) => void;
  readonly onOpen: (mixId: string) => void;
  readonly onNew: () => void;
}

/** The name of the mix, the way to the others, and a new one. */
export function MixName(props: MixNameProps) {
  const { name, mixes, mixId, archived, projectId, onMove, onArchive, onRename, onOpen, onNew } = props;
  const { data: projects = [] } = useProjects();
  const go = useNavigate();
  const make = useSeriesOfMix();
  const [choosing, setChoosing] = useState(false);
  const others = mixes.filter((m) => m.id !== mixId);
  return (
    <div className="flex flex-col gap-1">
      <div className="flex items-center gap-1">
        <input
          aria-label="Name of the mix"
          defaultValue={name}
          maxLength={120}
          onBlur={(e) => e.target.value.trim() && e.target.value !== name && onRename(e.target.value.trim())}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
          className="min-w-0 flex-1 rounded bg-transparent font-title text-lg leading-snug font-semibold hover:bg-shade focus:bg-card"
        />
        {others.length > 0 && (
          <Tip text="Other mixes">
            <button
              type="button"
              aria-label="Open a mix"
              onClick={() => setChoosing(true)}
              className="rounded p-0.5 hover:bg-shade"
            >
              <ChevronDown size={18} aria-hidden />
            </button>
          </Tip>
        )}
      </div>
      <div className="flex gap-2 text-sm text-muted">
        <Button look="plain" onClick={onNew} className="shrink-0 py-0.5">
          New mix
        </Button>
        <Button
          look="plain"
          className="shrink-0 py-0.5"
          onClick={() => make.mutate(mixId, { onSuccess: (series) => void go(`/series/${series.id}`) })}
        >
          Make a series
        </Button>
        <Button look="plain" className="shrink-0 py-0.5" onClick={() => onArchive(!archived)}>
          {archived ? 'Bring back' : 'Archive'}
        </Button>
      </div>
      {projects.length > 1 && (
        <select
          aria-label="Project of the mix"
          title="The project that this mix belongs to"
          value={projectId}
          onChange={(e) => onMove(e.target.value)}
          className="-ml-1 max-w-full self-start truncate rounded bg-transparent text-sm text-muted hover:bg-shade"
        >
          {projects.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
      )}
      {choosing && (
        <MixDialog
          title="Mixes"
          onClose={() => setChoosing(false)}
          mixes={others}
          fresh="A new mix"
          first={others.find((m) => !m.archived)?.id}
          onChoose={(mix) => {
            setChoosing(false);
            if (mix) onOpen(mix.id);
            else onNew();
          }}
        />
      )}
    </div>
  );
}
