import { Lamp } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { LIGHTS, setLight, useLight, type Light } from '../theme/lighting';

/** The light of the room, chosen for this browser. */
export function LightChoice() {
  const light = useLight();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger aria-label="Light of the room" className="rounded-full p-1 text-muted hover:text-ink">
        <Lamp size={18} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          className="z-40 w-72 rounded-xl border border-line bg-card p-1.5 shadow-xl"
        >
          <DropdownMenu.RadioGroup value={light} onValueChange={(to) => setLight(to as Light)}>
            {LIGHTS.map(({ light: one, name, hint }) => (
              <DropdownMenu.RadioItem
                key={one}
                value={one}
                className="grid cursor-pointer grid-cols-[1.25rem_1fr] items-baseline rounded-lg px-2 py-1.5 outline-none data-[highlighted]:bg-shade"
              >
                <span>
                  <DropdownMenu.ItemIndicator>
                    <span className="inline-block size-2 rounded-full bg-cinnabar" />
                  </DropdownMenu.ItemIndicator>
                </span>
                <span>
                  <span className="block font-semibold">{name}</span>
                  <span className="block text-sm text-muted">{hint}</span>
                </span>
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
