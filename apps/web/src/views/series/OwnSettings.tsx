import { X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { MixInfluence, Reference, Shot } from '../../api/client';
import type { OwnSettings as Own } from '../../api/series';
import type { SeriesActs } from '../../api/seriesActs';
import { Button } from '../../parts/Button';
import type { Lookup } from '../../shared/mix/lookup';
import { newInfluence } from '../../shared/mix/newInfluences';
import { NumberField } from '../../shared/forms/NumberField';
import { PickReference } from './PickReference';

interface Props {
  readonly shot: Shot;
  readonly influences: readonly MixInfluence[];
  readonly lookup: Lookup;
  readonly acts: SeriesActs;
}

/** Own settings without the one that a difference names. */
export function without(own: Own, key: string): Own {
  const [setting, influence] = key.split(/:(.*)/s);
  if (influence === undefined) return { ...own, [setting]: undefined };
  if (setting === 'added') return { ...own, added: own.added.filter((a) => a.id !== influence) };
  return { ...own, influences: own.influences.map((i) => (i.id === influence ? { ...i, [setting]: undefined } : i)) };
}

/** Own settings with another weight for an influence of the mix. */
export function withWeight(own: Own, id: string, weight: number): Own {
  const there = own.influences.find((i) => i.id === id);
  return { ...own, influences: [...own.influences.filter((i) => i.id !== id), { ...there, id, weight }] };
}

/** What a shot says differently from the mix: each can be taken back alone; weights and references can be added. */
export function OwnSettings({ shot, influences, lookup, acts }: Props) {
  const [open, setOpen] = useState(false);
  const set = (own: Own, says?: string) => acts.changeShot(shot, { own }, says);
  const add = (reference: Reference, gives: MixInfluence['gives']) => {
    setOpen(false);
    set({
      ...shot.own,
      added: [...shot.own.added, newInfluence(reference, gives)],
    });
  };
  return (
    <section aria-label="Own settings of this shot" className="flex flex-col gap-1.5">
      <h3 className="text-sm font-semibold text-muted">Own settings of this shot</h3>
      {shot.differs.length > 0 && (
        <ul className="flex flex-col gap-1">
          {shot.differs.map((d) => (
            <li key={d.key} className="flex items-center rounded-lg border border-line bg-card pl-2.5">
              <span className="flex-1 py-1 text-sm">{d.text}</span>
              <button
                type="button"
                aria-label={`Take back: ${d.text}`}
                onClick={() => set(without(shot.own, d.key), 'Its own setting was taken back')}
                className="p-1.5"
              >
                <X size={14} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
      )}
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger asChild>
          <Button className="self-start text-sm">Set something for this shot</Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="right"
            align="end"
            sideOffset={8}
            collisionPadding={12}
            aria-label="Own settings"
            className="z-40 flex w-80 flex-col gap-2 rounded-xl border border-line bg-paper p-3 shadow-xl"
          >
            <h4 className="text-sm font-semibold text-muted">Weights in this shot</h4>
            {influences.map((i) => {
              const own = shot.own.influences.find((o) => o.id === i.id)?.weight;
              return (
                <div key={i.id} className="flex items-center gap-2">
                  <span className="flex-1 truncate">{lookup.name(i)}</span>
                  <NumberField
                    label={`Weight of ${lookup.name(i)} in this shot`}
                    value={own ?? i.weight}
                    max={2}
                    step={0.05}
                    digits={2}
                    className="w-14 border border-line text-right"
                    onSave={(weight) => set(withWeight(shot.own, i.id, weight))}
                  />
                </div>
              );
            })}
            <h4 className="mt-1 text-sm font-semibold text-muted">A sketch, pose or layout of its own</h4>
            <PickReference onPick={add} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </section>
  );
}
