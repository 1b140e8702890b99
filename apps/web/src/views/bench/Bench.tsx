import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Gives, MixWarning } from '@urbild/core';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, ask, type Mix, type MixInfluence, type Take } from '../../api/client';
import { keys } from '../../api/keys';
import { useTakes } from '../../api/queries';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/notices';
import { Course } from './Course';
import { showsMix, warningsFor } from './influences';
import { LightTable } from './LightTable';
import { Readings } from './Readings';
import { Settings } from './Settings';
import { Tray, type TrayItem } from './Tray';
import { useBenchMix } from './useBenchMix';
import { useSources } from './useSources';

interface Props {
  readonly stored: Mix;
  readonly mixes: readonly Mix[];
  readonly gives: readonly Gives[];
  readonly onOpen: (mixId: string) => void;
  readonly onNew: () => void;
}

/** The instrument: tray, light table, readings, and the course below. */
export function Bench({ stored, mixes, gives, onOpen, onNew }: Props) {
  const client = useQueryClient();
  const tell = useNotice();
  const [search, setSearch] = useSearchParams();
  const [dragged, setDragged] = useState<TrayItem | undefined>(undefined);
  const [followed, setFollowed] = useState<string | undefined>(undefined);
  const { data: all, isPending } = useTakes(stored.id);
  const askFor = useMutation({
    mutationFn: (quality: Take['quality']) => ask(api.POST('/api/v1/takes', { body: { mixId: stored.id, quality } })),
    onSuccess: (take) => {
      client.setQueryData<Take[]>(keys.takes(stored.id), (takes) => [
        take,
        ...(takes ?? []).filter((t) => t.id !== take.id),
      ]);
      setFollowed(take.id);
    },
    onError: (error) => tell(error.message, { grave: true }),
  });
  const follows = search.get('drafts') !== 'off';
  const bench = useBenchMix(stored, () => {
    if (follows) askFor.mutate('draft');
  });
  const { mix, change, save, undo, redo } = bench;
  const lookup = useSources(mix.influences);
  const takes = useMemo(() => (all ?? []).filter((t) => t.quality !== 'draft'), [all]);
  const asked = search.get('take');
  const show = (take: Take) => {
    setFollowed(undefined);
    setSearch((before) => new URLSearchParams([...[...before].filter(([k]) => k !== 'take'), ['take', take.id]]), {
      replace: true,
    });
  };
  const shown = all?.find((t) => t.id === followed) ?? all?.find((t) => t.id === asked) ?? takes[0];
  const warnings = useMemo(() => warningsFor(mix, lookup, gives, shown), [mix, lookup, gives, shown]);
  const add = (influence: MixInfluence) =>
    change((m) => ({ ...m, influences: [...m.influences, { ...influence, id: crypto.randomUUID().slice(0, 8) }] }));
  const mend = (w: MixWarning) =>
    change((m) => ({
      ...m,
      influences: m.influences.map((i) => ({
        ...i,
        ...(w.mend!.changes.find((c) => c.influence === i.id)?.set as Partial<MixInfluence>),
      })),
    }));
  const render = async () => {
    await save();
    askFor.mutate('proof');
  };
  const act = (request: Promise<unknown>) =>
    void request
      .then(() => client.invalidateQueries({ queryKey: keys.takes(stored.id) }))
      .catch((e: Error) => tell(e.message, { grave: true }));
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey)) return;
      const key = e.key.toLowerCase();
      if (key === 'enter') void render();
      else if (key === 'z' && !(e.target as HTMLElement).closest('input, textarea')) (e.shiftKey ? redo : undo)();
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const onDragEnd = ({ over, active }: DragEndEvent) => {
    setDragged(undefined);
    if (over?.id === 'course') add((active.data.current as { item: TrayItem }).item.influence);
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active }) => setDragged((active.data.current as { item: TrayItem }).item)}
      onDragEnd={onDragEnd}
      onDragCancel={() => setDragged(undefined)}
    >
      <div className="grid h-full grid-cols-[172px_minmax(0,1fr)_244px] grid-rows-[minmax(0,1fr)_auto]">
        <Tray gives={gives} onAdd={add} />
        <LightTable
          take={shown}
          takes={takes}
          current={!!shown && showsMix(shown, mix)}
          loading={isPending}
          onShow={show}
          onKeep={(t) =>
            act(
              ask(
                api.PATCH('/api/v1/takes/{id}', {
                  params: { path: { id: t.id } },
                  body: { version: t.version, keeper: !t.keeper },
                }),
              ),
            )
          }
          onCancel={(t) => act(ask(api.POST('/api/v1/takes/{id}/cancel', { params: { path: { id: t.id } } })))}
        />
        <aside
          aria-label="Readings and settings"
          className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-3.5"
        >
          <MixName
            key={mix.name}
            name={mix.name}
            mixes={mixes}
            mixId={stored.id}
            onRename={(name) => change((m) => ({ ...m, name }))}
            onOpen={onOpen}
            onNew={onNew}
          />
          <Readings take={shown} lookup={lookup} warnings={warnings} onMend={mend} />
          <Settings
            settings={mix.settings}
            avoid={mix.avoid}
            onChange={(settings) => change((m) => ({ ...m, settings }))}
            onAvoid={(avoid) => change((m) => ({ ...m, avoid }))}
          />
          <div className="mt-auto flex flex-col gap-2">
            <Button
              look="main"
              onClick={() => void render()}
              disabled={!mix.prompt.trim() || askFor.isPending}
              className="py-2.5"
            >
              Render a proof
            </Button>
            <div className="flex items-center gap-1 text-sm text-muted">
              <label className="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  checked={follows}
                  onChange={(e) =>
                    setSearch(
                      (b) =>
                        new URLSearchParams([
                          ...[...b].filter(([k]) => k !== 'drafts'),
                          ...(e.target.checked ? [] : [['drafts', 'off']]),
                        ]),
                      { replace: true },
                    )
                  }
                  className="accent-ink"
                />
                a draft follows
              </label>
              <span aria-live="polite" className="ml-auto">
                {bench.dirty ? 'saving' : 'saved'}
              </span>
              <button
                type="button"
                aria-label="Undo"
                disabled={!bench.canUndo}
                onClick={undo}
                className="rounded p-1 enabled:hover:text-ink disabled:opacity-40"
              >
                <Undo2 size={16} aria-hidden />
              </button>
              <button
                type="button"
                aria-label="Redo"
                disabled={!bench.canRedo}
                onClick={redo}
                className="rounded p-1 enabled:hover:text-ink disabled:opacity-40"
              >
                <Redo2 size={16} aria-hidden />
              </button>
            </div>
          </div>
        </aside>
        <div className="col-span-3 max-h-[19rem] min-h-[12rem]">
          <Course mix={mix} lookup={lookup} gives={gives} change={change} />
        </div>
      </div>
      <DragOverlay dropAnimation={null}>
        {dragged?.thumbnailUrl && (
          <img src={dragged.thumbnailUrl} alt="" className="size-16 object-cover opacity-85 shadow-xl" />
        )}
      </DragOverlay>
    </DndContext>
  );
}

interface MixNameProps {
  readonly name: string;
  readonly mixes: readonly Mix[];
  readonly mixId: string;
  readonly onRename: (name: string) => void;
  readonly onOpen: (mixId: string) => void;
  readonly onNew: () => void;
}

function MixName({ name, mixes, mixId, onRename, onOpen, onNew }: MixNameProps) {
  return (
    <div className="flex flex-col gap-1">
      <input
        aria-label="Name of the mix"
        defaultValue={name}
        maxLength={120}
        onBlur={(e) => e.target.value.trim() && e.target.value !== name && onRename(e.target.value.trim())}
        onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        className="w-full rounded bg-transparent font-title text-lg leading-snug font-semibold hover:bg-shade focus:bg-card"
      />
      <div className="flex gap-2 text-sm text-muted">
        <select
          aria-label="Open a mix"
          value={mixId}
          onChange={(e) => onOpen(e.target.value)}
          className="min-w-0 flex-1 rounded bg-transparent"
        >
          {mixes.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </select>
        <Button look="plain" onClick={onNew} className="shrink-0">
          New mix
        </Button>
      </div>
    </div>
  );
}
