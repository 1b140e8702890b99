import { SHARED_SETTINGS } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useProjectActs, useProjects, type Project } from '../api/projects';
import { useCast, useLooks } from '../api/sheets';
import { SettingCells } from '../shared/mix/SettingCells';
import { Button } from './Button';
import { DialogFrame } from './DialogFrame';

interface Props {
  /** A new one when absent. */
  readonly project: Project | undefined;
  readonly onClose: () => void;
  readonly onMade: (project: Project) => void;
}

type Fields = Pick<Project, 'name' | 'settings' | 'looks' | 'cast'> & { readonly lookId: string };

const fieldsOf = (p: Project | undefined): Fields => ({
  name: p?.name ?? '',
  lookId: p?.lookId ?? '',
  settings: p?.settings ?? {},
  looks: p?.looks ?? [],
  cast: p?.cast ?? [],
});

/** What a project is called, what its new mixes begin with, and which looks and characters its trays show. */
export function ProjectDialog({ project, onClose, onMade }: Props) {
  const { data: looks = [] } = useLooks();
  const { data: cast = [] } = useCast();
  const { data: projects = [] } = useProjects();
  const { make, change } = useProjectActs();
  const [fields, setFields] = useState(() => fieldsOf(project));
  const set = (some: Partial<Fields>) => setFields((now) => ({ ...now, ...some }));
  const name = fields.name.trim();
  const others = projects.some((p) => p.id !== project?.id && !p.archived);
  const save = async () => {
    const { lookId, ...rest } = fields;
    const done = project
      ? await change(project, { ...fields, name })
      : await make({ ...rest, name, ...(lookId && { lookId }) });
    if (!done) return;
    if (!project) onMade(done);
    onClose();
  };
  return (
    <DialogFrame
      onClose={onClose}
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] w-[560px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-4 overflow-auto rounded-2xl bg-paper p-5 shadow-2xl"
    >
      <Dialog.Title className="font-title text-xl font-semibold">
        {project ? 'About this project' : 'New project'}
      </Dialog.Title>
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          if (name) void save();
        }}
      >
        <label className="flex flex-col gap-1">
          <span className="text-sm font-semibold text-muted">Name</span>
          <input
            autoFocus
            maxLength={120}
            value={fields.name}
            placeholder="a book, a set of cards, a season of frames"
            onChange={(e) => set({ name: e.target.value })}
            className="rounded-lg border border-edge bg-card px-2.5 py-1.5"
          />
        </label>
        <Beginning fields={fields} looks={looks} onSet={set} />
        <Picks
          title="Looks that it works with"
          all={looks}
          picks={fields.looks}
          onPick={(ids) => set({ looks: ids })}
        />
        <Picks title="Its cast" all={cast} picks={fields.cast} onPick={(ids) => set({ cast: ids })} />
        <p className="text-sm text-muted">
          Nothing chosen is all. Pictures are picked in the library: drag them onto the project’s name among the
          collections.
        </p>
        <div className="flex justify-end gap-2">
          {project && others && (
            <Button
              className="mr-auto"
              onClick={() => void change(project, { archived: !project.archived }).then((done) => done && onClose())}
            >
              {project.archived ? 'Bring back' : 'Archive the project'}
            </Button>
          )}
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit" disabled={!name}>
            {project ? 'Save' : 'Make the project'}
          </Button>
        </div>
      </form>
    </DialogFrame>
  );
}

interface BeginningProps {
  readonly fields: Fields;
  readonly looks: readonly { readonly id: string; readonly name: string }[];
  readonly onSet: (some: Partial<Fields>) => void;
}

/** What new mixes begin with: a look, and settings. */
function Beginning({ fields, looks, onSet }: BeginningProps) {
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="mb-1 text-sm font-semibold text-muted">New mixes begin with</legend>
      <select
        aria-label="Look of new mixes"
        value={fields.lookId}
        onChange={(e) => onSet({ lookId: e.target.value })}
        className="rounded-lg border border-line bg-card px-2 py-1.5"
      >
        <option value="">the usual look of the studio, if there is one</option>
        {looks.map((l) => (
          <option key={l.id} value={l.id}>
            {l.name}
          </option>
        ))}
      </select>
      <div className="grid grid-cols-3 gap-1.5">
        <SettingCells names={SHARED_SETTINGS} settings={fields.settings} onChange={(settings) => onSet({ settings })} />
      </div>
    </fieldset>
  );
}

interface PicksProps {
  readonly title: string;
  readonly all: readonly { readonly id: string; readonly name: string }[];
  readonly picks: readonly string[];
  readonly onPick: (ids: string[]) => void;
}

/** Some of what the studio has, each chosen or not. */
function Picks({ title, all, picks, onPick }: PicksProps) {
  if (!all.length) return null;
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold text-muted">{title}</legend>
      <div className="flex flex-wrap gap-1.5">
        {all.map(({ id, name }) => {
          const on = picks.includes(id);
          return (
            <label
              key={id}
              className={`flex cursor-pointer items-center gap-1.5 rounded-full border px-3 py-1 ${on ? 'border-ink bg-card font-semibold' : 'border-line'}`}
            >
              <input
                type="checkbox"
                checked={on}
                onChange={() => onPick(on ? picks.filter((one) => one !== id) : [...picks, id])}
                className="accent-ink"
              />
              {name}
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}
