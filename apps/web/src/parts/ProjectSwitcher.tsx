import { Check, ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { chooseProject, placeIn } from '../api/projectChoice';
import { useMay } from '../api/me';
import { useProject, useProjects } from '../api/projects';
import { ProjectDialog } from './ProjectDialog';

const ITEM = 'flex cursor-default items-center gap-2 rounded-md px-3 py-1.5 outline-none data-highlighted:bg-shade';
/** Views that show something of one project; the others show the whole studio. */
const OF_A_PROJECT = /^\/(bench|series|takes|sequences|compare)/;

/** The project that one works in, and the way to the others: each is found again where one left it. */
export function ProjectSwitcher() {
  const { data: projects } = useProjects();
  const project = useProject();
  const manages = useMay('manage');
  const { pathname } = useLocation();
  const go = useNavigate();
  const [open, setOpen] = useState<'settings' | 'new' | undefined>(undefined);
  if (!project) return null;
  const choose = (id: string) => {
    if (id === project.id) return;
    const place = placeIn(id);
    chooseProject(id);
    if (OF_A_PROJECT.test(pathname)) void go(place);
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label={`Project: ${project.name}`}
          className="flex max-w-64 items-center gap-1 rounded-lg px-2 py-1 font-title text-lg font-semibold hover:bg-shade max-[900px]:text-base"
        >
          <span className="truncate">{project.name}</span>
          <ChevronDown size={16} className="shrink-0" aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            className="z-50 max-h-[70vh] min-w-56 overflow-auto rounded-xl border border-line bg-card p-1.5 shadow-xl"
          >
            <DropdownMenu.RadioGroup value={project.id} onValueChange={choose}>
              {projects
                ?.filter((p) => !p.archived || p.id === project.id)
                .map((p) => (
                  <DropdownMenu.RadioItem key={p.id} value={p.id} className={ITEM}>
                    <span className="w-4">
                      <DropdownMenu.ItemIndicator>
                        <Check size={14} aria-hidden />
                      </DropdownMenu.ItemIndicator>
                    </span>
                    {p.name}
                  </DropdownMenu.RadioItem>
                ))}
            </DropdownMenu.RadioGroup>
            {manages && (
              <>
                <DropdownMenu.Separator className="my-1 h-px bg-line" />
                <DropdownMenu.Item className={ITEM} onSelect={() => setOpen('settings')}>
                  About this project
                </DropdownMenu.Item>
                <DropdownMenu.Item className={ITEM} onSelect={() => setOpen('new')}>
                  New project
                </DropdownMenu.Item>
              </>
            )}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {open && (
        <ProjectDialog
          project={open === 'settings' ? project : undefined}
          onClose={() => setOpen(undefined)}
          onMade={({ id }) => {
            chooseProject(id);
            void go('/bench');
          }}
        />
      )}
    </>
  );
}
