import { PROJECT_ROLES, ROLE_WORDS, roleInProject, type ProjectRole } from '@urbild/core';
import { useState } from 'react';
import { useMay } from '../../api/me';
import { usePeople, type Person } from '../../api/people';
import { useProjectActs, useProjects, type Project } from '../../api/projects';
import { PersonMark } from '../../parts/people/PersonMark';

/** So many marks stand in a row; the others are counted. */
const MOST_MARKS = 6;

/** The projects, and who works in each. */
export function Projects() {
  const { data: projects } = useProjects();
  const { data: people = [] } = usePeople();
  if (!projects)
    return <div className="skeleton h-28 rounded-2xl" role="status" aria-label="The projects are being read" />;
  return (
    <section aria-label="Projects" className="flex flex-col gap-3">
      <h2 className="font-title text-xl font-semibold">Projects</h2>
      <ul className="flex flex-col divide-y divide-line border-y border-line">
        {projects.map((project) => (
          <ProjectRow key={project.id} project={project} people={people} />
        ))}
      </ul>
    </section>
  );
}

interface Props {
  readonly project: Project;
  readonly people: readonly Person[];
}

/** Everybody who knows of a project, with their role in it. */
const workersOf = ({ restricted, members }: Project, people: readonly Person[]) =>
  people.flatMap((person) => {
    const member = members.find((m) => m.person === person.id)?.role;
    const role = roleInProject(person.role, { restricted, member });
    return role ? [{ person, member, role }] : [];
  });

function ProjectRow({ project, people }: Props) {
  const manages = useMay('manage');
  const [open, setOpen] = useState(false);
  const workers = workersOf(project, people);
  return (
    <li className="flex flex-col gap-3 py-3.5">
      <div className="flex items-center gap-4">
        <div className="min-w-0 flex-1">
          <div className="truncate font-semibold">
            {project.name}
            {project.archived && <span className="font-normal text-muted"> (archived)</span>}
          </div>
          <div className="text-sm text-muted">
            {project.restricted ? 'Only its members and owners know of it.' : 'Everybody in the studio works in it.'}
          </div>
        </div>
        <ul aria-label={`Who works in ${project.name}`} className="flex gap-1">
          {workers.map(({ person }, k) => (
            <li key={person.id} className={k < MOST_MARKS ? '' : 'sr-only'}>
              <span className="sr-only">{person.name}</span>
              <PersonMark person={person} />
            </li>
          ))}
          {workers.length > MOST_MARKS && (
            <li aria-hidden className="grid h-7 place-items-center text-sm text-muted">
              and {workers.length - MOST_MARKS} more
            </li>
          )}
        </ul>
        {manages && (
          <button
            type="button"
            aria-expanded={open}
            aria-label={`${open ? 'Done' : 'Who works in it'}: ${project.name}`}
            onClick={() => setOpen(!open)}
            className="rounded-lg border border-edge bg-card px-3 py-1.5 hover:bg-shade"
          >
            {open ? 'Done' : 'Who works in it'}
          </button>
        )}
      </div>
      {open && <Access project={project} people={people} />}
    </li>
  );
}

/** Who knows of a project, and what each may do in it. */
function Access({ project, people }: Props) {
  const { change, setMember } = useProjectActs();
  const name = `open-${project.id}`;
  return (
    <div className="flex flex-col gap-3 rounded-xl bg-shade p-4">
      <fieldset className="flex flex-wrap gap-x-6 gap-y-1.5">
        <legend className="sr-only">Who knows of {project.name}</legend>
        {[false, true].map((restricted) => (
          <label key={String(restricted)} className="flex items-center gap-2">
            <input
              type="radio"
              name={name}
              checked={project.restricted === restricted}
              onChange={() => void change(project, { restricted })}
              className="accent-ink"
            />
            {restricted ? 'Only its members' : 'Everybody in the studio'}
          </label>
        ))}
      </fieldset>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(430px,1fr))] gap-x-6 gap-y-2">
        {people.map((person) => (
          <li key={person.id} className="flex items-center gap-2.5">
            <PersonMark person={person} />
            <span className="min-w-0 flex-1 truncate">{person.name}</span>
            <RoleHere project={project} person={person} onChoose={(role) => void setMember(project, person.id, role)} />
            <ApproverHere
              project={project}
              person={person}
              onChoose={(role, approver) => void setMember(project, person.id, role, approver)}
            />
          </li>
        ))}
      </ul>
      <p className="text-sm text-muted">What somebody may in the studio is the most that they may here.</p>
    </div>
  );
}

interface ApproverProps {
  readonly project: Project;
  readonly person: Person;
  readonly onChoose: (role: ProjectRole, approver: boolean) => void;
}

/** Whether somebody approves keepers of a project. Owners always may; for others it is said of members. */
function ApproverHere({ project, person, onChoose }: ApproverProps) {
  const member = project.members.find((m) => m.person === person.id);
  const role = member && roleInProject(person.role, { restricted: true, member: member.role });
  if (!member || role === 'owner' || role === 'viewer') return <span className="w-24" />;
  return (
    <label className="flex w-24 items-center gap-1.5 text-sm">
      <input
        type="checkbox"
        aria-label={`${person.name} approves in ${project.name}`}
        checked={!!member.approver}
        onChange={(e) => onChoose(member.role, e.target.checked)}
        className="accent-ink"
      />
      approves
    </label>
  );
}

interface RoleProps {
  readonly project: Project;
  readonly person: Person;
  readonly onChoose: (role: ProjectRole | undefined) => void;
}

/** The role of somebody in a project: none of its own, or one that is at most theirs in the studio. */
function RoleHere({ project, person, onChoose }: RoleProps) {
  if (person.role === 'owner') return <span className="text-sm text-muted">Owner, may everything</span>;
  const member = project.members.find((m) => m.person === person.id)?.role;
  const most = roleInProject(person.role, { restricted: false })!;
  const roles = PROJECT_ROLES.slice(PROJECT_ROLES.indexOf(most as ProjectRole));
  const shown = member && roleInProject(person.role, { restricted: true, member });
  return (
    <select
      aria-label={`${person.name} in ${project.name}`}
      value={shown ?? ''}
      onChange={(e) => onChoose((e.target.value || undefined) as ProjectRole | undefined)}
      className="w-52 rounded-lg border border-edge bg-card px-2 py-1"
    >
      <option value="">
        {project.restricted ? 'does not know of it' : `${ROLE_WORDS[person.role].label}, as in the studio`}
      </option>
      {roles.map((role) => (
        <option key={role} value={role}>
          {ROLE_WORDS[role].label}
        </option>
      ))}
    </select>
  );
}
