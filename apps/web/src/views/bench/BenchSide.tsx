import { applyFix, type MixWarning } from '@urbild/core';
import type { Mix } from '../../api/client';
import { CommentsPart } from '../../shared/comments/CommentsPart';
import { useTalk } from '../../shared/comments/useTalk';
import type { Lookup } from '../../shared/mix/lookup';
import { MixName } from './MixName';
import { Readings } from './Readings';
import { RenderFoot } from './RenderFoot';
import { Settings } from './Settings';
import type { BenchMix } from './useBenchMix';
import type { useBenchTakes } from './useBenchTakes';

interface Props {
  readonly bench: BenchMix;
  readonly takes: ReturnType<typeof useBenchTakes>;
  readonly mixes: readonly Mix[];
  readonly mixId: string;
  readonly lookup: Lookup;
  readonly warnings: readonly MixWarning[];
  readonly onOpen: (mixId: string) => void;
  readonly onNew: () => void;
  /** Renders so many proofs. */
  readonly onRender: (count: number) => Promise<void>;
  /** Paints where the start picture stays. */
  readonly onMask: () => void;
}

/** Beside the table: which mix it is, what is read of the take, the settings, and rendering. */
export function BenchSide({ bench, takes, mixes, mixId, lookup, warnings, onOpen, onNew, onRender, onMask }: Props) {
  const { mix, change } = bench;
  const { shown } = takes;
  const talk = useTalk({ mixId });
  const fix = ({ fix: by }: MixWarning) => by && change((m) => ({ ...m, influences: applyFix(m.influences, by) }));
  return (
    <aside aria-label="Readings and settings" className="flex min-h-0 flex-col border-l border-line bg-paper">
      <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto p-3.5">
        <MixName
          key={mix.name}
          name={mix.name}
          mixes={mixes}
          mixId={mixId}
          archived={mix.archived}
          projectId={mix.projectId}
          onMove={(projectId) => change((m) => ({ ...m, projectId }))}
          onArchive={(archived) => change((m) => ({ ...m, archived }))}
          onRename={(name) => change((m) => ({ ...m, name }))}
          onOpen={onOpen}
          onNew={onNew}
        />
        <Readings take={shown} lookup={lookup} warnings={warnings} onFix={fix} />
        <Settings
          settings={mix.settings}
          avoid={mix.avoid}
          onChange={(settings) => change((m) => ({ ...m, settings }))}
          onAvoid={(avoid) => change((m) => ({ ...m, avoid }))}
          take={shown}
          onMask={onMask}
        />
        <CommentsPart key={mixId} talk={talk} />
      </div>
      <RenderFoot
        bench={bench}
        busy={takes.asking}
        follows={takes.follows}
        onFollows={takes.setFollows}
        onRender={(count) => void onRender(count)}
      />
    </aside>
  );
}
