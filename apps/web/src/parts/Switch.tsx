import { Switch as Radix } from 'radix-ui';

interface Props {
  /** What is switched, in words: "Moss wash acts". */
  readonly label: string;
  readonly on: boolean;
  readonly onSwitch: (on: boolean) => void;
}

/** A small switch; Space and Enter turn it. */
export const Switch = ({ label, on, onSwitch }: Props) => (
  <Radix.Root
    aria-label={label}
    checked={on}
    onCheckedChange={onSwitch}
    // the place for a finger is larger than what is drawn
    className="group relative grid h-6 w-7 shrink-0 place-items-center rounded"
  >
    <span
      aria-hidden
      className="flex h-3.5 w-6 items-center rounded-full border border-edge bg-card px-px group-data-[state=checked]:border-ink group-data-[state=checked]:bg-ink"
    >
      <Radix.Thumb className="block size-2.5 rounded-full bg-edge transition-transform data-[state=checked]:translate-x-2.5 data-[state=checked]:bg-paper motion-reduce:transition-none" />
    </span>
  </Radix.Root>
);
