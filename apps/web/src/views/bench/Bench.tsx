import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { applyFix, type Gives, type MixWarning } from '@urbild/core';
import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, ask, type Mix, type MixInfluence, type Take } from '../../api/client';
import { keys } from '../../api/keys';
import { useTakes } from '../../api/queries';
import { useNotice } from '../../parts/notices';
import { BenchTools } from './BenchTools';
import { BenchDialogs, type BenchDialog } from './BenchDialogs';
import { Course } from './Course';
import { moved, showsMix, warningsFor } from './influences';
import { LightTable } from './LightTable';
import { MixName } from './MixName';
import { Readings } from './Readings';
import { RenderFoot } from './RenderFoot';
import { Settings } from './Settings';
import { Tray, type TrayItem } from './Tray';
import { useBenchMix } from './useBenchMix';
import { useCarried } from './useCarried';
import { useSources } from '../../shared/mix/useSources';
import { useKeys } from '../../shared/keys/useKeys';

interface Props {
  readonly stored: Mix;
  readonly mixes: readonly Mix[];
  readonly gives: readonly Gives[];
  readonly onOpen: (mixId: string) => void;
  readonly onNew: () => void;
}

const NONE: readonly Take[] = [];

/** The instrument: tray, light table, readings, and the course below. */
export function Bench({ stored, mixes, gives, onOpen, onNew }: Props) {
  const client = useQueryClient();
  const tell = useNotice();
  const [search, setSearch] = useSearchParams();
  const [dragged, setDragged] = useState<TrayItem | undefined>(undefined);
  const [followed, setFollowed] = useState<string | undefined>(undefined);
  const [open, setOpen] = useState<BenchDialog | undefined>(undefined);
  const [painting, setPainting] = useState<string | undefined>(undefined);
  const { data: all, isPending } = useTakes(stored.id);
  const askFor = useMutation({
    mutationFn: ({ quality, seed }: { quality: Take['quality']; seed?: number }) =>
      ask(api.POST('/api/v1/takes', { body: { mixId: stored.id, quality, seed } })),
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
    if (follows) askFor.mutate({ quality: 'draft' });
  });
  const { mix, change, save, undo, redo } = bench;
  const lookup = useSources(mix.influences);
  const takes = useMemo(() => (all ?? []).filter((t) => t.quality !== 'draft'), [all]);
  const asked = search.get('take');
  const show = useCallback(
    (take: Take) => {
      setFollowed(undefined);
      setSearch((before) => new URLSearchParams([...[...before].filter(([k]) => k !== 'take'), ['take', take.id]]), {
        replace: true,
      });
    },
    [setSearch],
  );
  const shown = all?.find((t) => t.id === followed) ?? all?.find((t) => t.id === asked) ?? takes[0] ?? all?.[0];
  const warnings = useMemo(() => warningsFor(mix, lookup, gives, shown), [mix, lookup, gives, shown]);
  const add = useCallback(
    (influence: MixInfluence) =>
      change((m) => ({ ...m, influences: [...m.influences, { ...influence, id: crypto.randomUUID().slice(0, 8) }] })),
    [change],
  );
  const onCarried = useCarried(gives, add);
  const fix = ({ fix: by }: MixWarning) => by && change((m) => ({ ...m, influences: applyFix(m.influences, by) }));
  const render = async (count = 1) => {
    await save();
    for (let k = 0; k < count; k++)
      askFor.mutate({ quality: 'proof', ...(k ? { seed: (mix.settings.seed + k) % 0x100000000 } : {}) });
  };
  const cancel = useCallback(
    (take: Take) =>
      void ask(api.POST('/api/v1/takes/{id}/cancel', { params: { path: { id: take.id } } }))
        .then(() => client.invalidateQueries({ queryKey: keys.takes(stored.id) }))
        .catch((e: Error) => tell(e.message, { grave: true })),
    [client, tell, stored.id],
  );
  const current = !!shown && showsMix(shown, mix);
  const fresh = !mix.prompt.trim();
  // while a weight is dragged neither of them changes: only the course is drawn anew
  const tray = useMemo(() => <Tray gives={gives} onAdd={add} />, [gives, add]);
  const table = useMemo(
    () => (
      <LightTable
        take={shown}
        takes={takes}
        current={current}
        loading={isPending}
        fresh={fresh}
        onShow={show}
        onCancel={cancel}
      />
    ),
    [shown, takes, current, isPending, fresh, show, cancel],
  );
  useKeys(
    ({ key, mod }) => {
      if (!mod || key !== 'Enter') return false;
      void render();
      return true;
    },
    { everywhere: true },
  );
  useKeys(({ key, mod, shift }) => {
    if (!mod || key !== 'z') return false;
    (shift ? redo : undo)();
    return true;
  });
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const onDragEnd = ({ over, active }: DragEndEvent) => {
    setDragged(undefined);
    const { item, lane } = active.data.current as { item?: TrayItem; lane?: string };
    const onto = String(over?.id ?? '');
    if (lane && onto.startsWith('lane '))
      change((m) => ({ ...m, influences: moved(m.influences, lane, onto.slice(5)) }));
    else if (item && (onto === 'course' || onto.startsWith('lane '))) add(item.influence);
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active }) => setDragged((active.data.current as { item?: TrayItem }).item)}
      onDragEnd={onDragEnd}
      onDragCancel={() => setDragged(undefined)}
    >
      <h1 className="sr-only">Bench: {mix.name}</h1>
      <div className="grid h-full grid-cols-[172px_minmax(0,1fr)_244px] grid-rows-[minmax(0,1fr)_auto]">
        {tray}
        {table}
        <aside aria-label="Readings and settings" className="flex min-h-0 flex-col border-l border-line bg-paper">
          <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto p-3.5">
            <MixName
              key={mix.name}
              name={mix.name}
              mixes={mixes}
              mixId={stored.id}
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
              onMask={() => setPainting('start')}
            />
          </div>
          <RenderFoot
            bench={bench}
            busy={askFor.isPending}
            follows={follows}
            onFollows={(on) =>
              setSearch(
                (b) =>
                  new URLSearchParams([...[...b].filter(([k]) => k !== 'drafts'), ...(on ? [] : [['drafts', 'off']])]),
                { replace: true },
              )
            }
            onRender={(count) => void render(count)}
          />
        </aside>
        <div className="col-span-3 max-h-[19rem] min-h-[12rem]">
          <Course
            mix={mix}
            lookup={lookup}
            gives={gives}
            change={change}
            onRegion={(i) => setPainting(i.id)}
            onCarried={onCarried}
            tools={
              <BenchTools
                mixId={stored.id}
                able={mix.influences.length > 0}
                onOpen={(dialog) => void save().then(() => setOpen(dialog))}
              />
            }
          />
        </div>
      </div>
      <BenchDialogs
        open={open}
        painting={painting}
        onClose={() => {
          setOpen(undefined);
          setPainting(undefined);
        }}
        mixId={stored.id}
        bench={bench}
        lookup={lookup}
        take={shown}
        takes={all ?? NONE}
      />
      <DragOverlay dropAnimation={null}>
        {dragged?.thumbnailUrl && (
          <img src={dragged.thumbnailUrl} alt="" className="size-16 object-cover opacity-85 shadow-xl" />
        )}
      </DragOverlay>
    </DndContext>
  );
}
