import { Copy, Scale, Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { useReferencesById } from '../../api/references';
import { useAct, useChangeLook, useLookReading, type Look } from '../../api/sheets';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/notices';
import { Editable } from '../../shared/forms/Editable';
import { useWeighInfluences } from '../../shared/mix/useWeigh';
import { lookInfluence } from '../../shared/mix/newInfluences';
import { AddPictures } from '../../shared/pictures/AddPictures';
import { LookPicture } from './LookPicture';
import { LookReading } from './LookReading';
import { Sample } from './Sample';
import { MadeWith } from '../../shared/pictures/MadeWith';

/** The sheet of one look: its pictures with weights, palette, map, sample, and what was made with it. */
export function LookSheet({ look }: { look: Look }) {
  const change = useChangeLook();
  const { data: reading } = useLookReading(look);
  const references = useReferencesById(look.items.map((i) => i.referenceId));
  const weigh = useWeighInfluences();
  const setItems = (items: Look['items']) => change.mutate({ item: look, change: { items } });
  return (
    <div className="parts grid min-h-0 grid-cols-[minmax(0,1fr)_312px]">
      <section
        aria-label="Pictures of the look"
        data-main="Pictures of the look"
        className="flex min-h-0 flex-col bg-booth"
      >
        <Head
          look={look}
          onAdd={(ids) => setItems([...look.items, ...ids.map((referenceId) => ({ referenceId, weight: 1 }))])}
          onName={(name) => change.mutate({ item: look, change: { name } })}
        />
        <ul className="grid min-h-0 flex-1 grid-cols-[repeat(auto-fill,minmax(max(230px,15vw),1fr))] content-start gap-3 overflow-auto p-3">
          {look.items.map((item, k) => (
            <LookPicture
              key={item.referenceId}
              reference={references.get(item.referenceId)}
              weight={item.weight}
              stranger={
                reading?.stranger === item.referenceId
                  ? reading.map.find((p) => p.referenceId === item.referenceId)?.off
                  : undefined
              }
              onWeight={(weight) => setItems(look.items.map((i) => (i === item ? { ...i, weight } : i)))}
              onRemove={() => setItems(look.items.filter((i) => i !== item))}
              onMove={(by) => setItems(moved(look.items, k, by))}
            />
          ))}
        </ul>
      </section>
      <aside
        aria-label="Readings of the look"
        className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-4"
      >
        <Button
          look="main"
          className="flex items-center justify-center gap-2"
          disabled={!look.items.length}
          onClick={() => void weigh([lookInfluence(look.id)])}
        >
          <Scale size={16} aria-hidden /> Weigh on the bench
        </Button>
        <Sample look={look} />
        {reading && <LookReading reading={reading} references={references} />}
        <Editable
          label="Notes"
          value={look.notes}
          long
          onSave={(notes) => change.mutate({ item: look, change: { notes } })}
        />
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={look.isDefault}
            onChange={(e) => change.mutate({ item: look, change: { isDefault: e.target.checked } })}
            className="accent-ink"
          />
          New mixes begin with it
        </label>
        <MadeWith id={look.id} />
        <Upkeep look={look} />
      </aside>
    </div>
  );
}

function Head({
  look,
  onName,
  onAdd,
}: {
  look: Look;
  onName: (name: string) => void;
  onAdd: (ids: readonly string[]) => void;
}) {
  return (
    <header className="flex items-center gap-3 border-b border-line bg-paper px-4 py-2">
      <div className="min-w-0 flex-1">
        <Editable
          label="Name of the look"
          value={look.name}
          className="font-title text-xl font-semibold"
          onSave={(name) => name && onName(name)}
        />
      </div>
      <AddPictures have={look.items.map((i) => i.referenceId)} kind="style" onAdd={onAdd} />
    </header>
  );
}

const moved = <T,>(items: readonly T[], at: number, by: number): T[] => {
  const out = [...items];
  const [one] = out.splice(at, 1);
  out.splice(Math.max(0, at + by), 0, one);
  return out;
};

function Upkeep({ look }: { look: Look }) {
  const go = useNavigate();
  const tell = useNotice();
  const duplicate = useAct(keys.looks, () =>
    ask(api.POST('/api/v1/looks/{id}/duplicate', { params: { path: { id: look.id } } })),
  );
  const restore = useAct(keys.looks, () =>
    ask(api.POST('/api/v1/looks/{id}/restore', { params: { path: { id: look.id } } })),
  );
  const remove = useAct(keys.looks, async () => {
    await ask(api.DELETE('/api/v1/looks/{id}', { params: { path: { id: look.id } } }));
    tell(`The look “${look.name}” was archived.`, { action: { label: 'Bring it back', run: () => void restore() } });
  });
  return (
    <div className="flex gap-2">
      <Button
        className="flex items-center gap-1.5"
        onClick={() => void duplicate().then((l) => l && void go(`/looks/${l.id}`))}
      >
        <Copy size={15} aria-hidden /> Duplicate
      </Button>
      <Button className="flex items-center gap-1.5" onClick={() => void remove().then(() => void go('/looks'))}>
        <Trash2 size={15} aria-hidden /> Archive
      </Button>
    </div>
  );
}
