import { Columns2, Scale, Trash2, Undo2 } from 'lucide-react';
import { Tabs } from 'radix-ui';
import type { Reference } from '../../api/client';
import { useChangeMany } from '../../api/references';
import { Button } from '../../parts/Button';
import { About } from './About';
import { Checks } from './Checks';
import { EngineGets } from './EngineGets';
import { FocusEditor } from './FocusEditor';
import { MOST_COMPARED } from './LargeLook';
import { KindChoice, Marks, ManyTags, RightsForm } from './SharedFields';
import { CommentsPart } from '../../shared/comments/CommentsPart';
import { useTalk } from '../../shared/comments/useTalk';
import { useWeigh } from '../../shared/mix/useWeigh';

interface Props {
  readonly ids: readonly string[];
  readonly references: readonly Reference[];
  readonly onLike: (id: string, by: 'content' | 'style') => void;
  readonly onColour: (colour: string) => void;
  readonly onLarge: (id: string) => void;
}

const TABS = [
  ['about', 'About'],
  ['focus', 'Focus'],
  ['gives', 'Engine sees'],
  ['checks', 'Checks'],
] as const;

/** What is known of the selection, and what can be done with it. */
export function Inspector({ ids, references, onLike, onColour, onLarge }: Props) {
  const change = useChangeMany();
  const weigh = useWeigh();
  if (!ids.length || !references.length) {
    return (
      <aside aria-label="Selection" className="border-l border-line bg-paper p-4 text-muted">
        Choose a picture to see what it holds. Enter or a double click weighs it on the bench, space shows it large.
      </aside>
    );
  }
  const one = ids.length === 1 ? references[0] : undefined;
  const away = references.every((r) => r.away);
  return (
    <aside aria-label="Selection" className="flex min-h-0 flex-col border-l border-line bg-paper">
      <div className="min-h-0 flex-1 overflow-auto p-4">
        {one ? (
          <Tabs.Root defaultValue="about" className="flex flex-col gap-4">
            <Tabs.List aria-label="About the picture" className="flex border-b border-line">
              {TABS.map(([value, name]) => (
                <Tabs.Trigger
                  key={value}
                  value={value}
                  className="flex-1 border-b-2 border-transparent pb-1.5 text-sm whitespace-nowrap text-muted data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
                >
                  {name}
                  {value === 'checks' && one.checks.length > 0 && <span className="figures"> {one.checks.length}</span>}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <Tabs.Content value="about">
              <About key={`${one.id}${one.title}${one.notes}`} reference={one} onLike={onLike} onColour={onColour} />
              <CommentsOn key={one.id} referenceId={one.id} />
            </Tabs.Content>
            <Tabs.Content value="focus">
              <FocusEditor key={one.id} reference={one} />
            </Tabs.Content>
            <Tabs.Content value="gives">
              <EngineGets reference={one} />
            </Tabs.Content>
            <Tabs.Content value="checks">
              <Checks reference={one} onLike={onLike} />
            </Tabs.Content>
          </Tabs.Root>
        ) : (
          <Several ids={ids} references={references} onLarge={onLarge} />
        )}
      </div>
      <div className="flex gap-2 border-t border-line p-3">
        <Button look="main" className="flex flex-1 items-center justify-center gap-2" onClick={() => void weigh(ids)}>
          <Scale size={16} aria-hidden /> Weigh on the bench
        </Button>
        <Button
          aria-label={away ? 'Bring back' : 'Archive'}
          onClick={() =>
            change.mutate({
              ids,
              change: { away: !away },
              says: `${ids.length === 1 ? 'A picture was' : `${ids.length} pictures were`} ${away ? 'brought back' : 'archived'}.`,
            })
          }
        >
          {away ? <Undo2 size={16} aria-hidden /> : <Trash2 size={16} aria-hidden />}
        </Button>
      </div>
    </aside>
  );
}

/** What people say about one picture. */
function CommentsOn({ referenceId }: { referenceId: string }) {
  return (
    <div className="mt-4">
      <CommentsPart talk={useTalk({ referenceId })} />
    </div>
  );
}

/** What can be said of several pictures at once. */
function Several({ ids, references, onLarge }: Pick<Props, 'ids' | 'references' | 'onLarge'>) {
  return (
    <div className="flex flex-col gap-4">
      <h2 className="font-title text-xl font-semibold">{ids.length} pictures</h2>
      <div className="grid grid-cols-4 gap-1">
        {references.slice(0, 16).map((r) => (
          <img key={r.id} src={r.thumbnailUrl} alt={r.title} className="aspect-square w-full object-cover" />
        ))}
      </div>
      {ids.length <= MOST_COMPARED && (
        <Button onClick={() => onLarge(ids[ids.length - 1])} className="flex items-center justify-center gap-2">
          <Columns2 size={16} aria-hidden /> Compare them large
        </Button>
      )}
      <KindChoice ids={ids} references={references} />
      <Marks ids={ids} references={references} />
      <ManyTags ids={ids} references={references} />
      <RightsForm key={ids.join()} ids={ids} references={references} />
    </div>
  );
}
