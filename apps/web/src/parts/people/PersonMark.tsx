import type { Person } from '../../api/people';

/** The first letters of up to two parts of a name. */
export const initialsOf = (name: string): string => {
  const parts = name.trim().split(/\s+/).filter(Boolean);
  const told = parts.length > 1 ? [parts[0], parts[parts.length - 1]] : parts;
  return told.map((part) => [...part][0].toLocaleUpperCase()).join('');
};

const SIZES = { tiny: 'size-5 text-[10px]', small: 'size-7 text-xs', large: 'size-10 text-base' } as const;

interface Props {
  readonly person: Pick<Person, 'name' | 'hue'>;
  readonly size?: keyof typeof SIZES;
}

/** Somebody's mark: their initials on a swatch of their colour, cut at one corner. */
export function PersonMark({ person: { name, hue }, size = 'small' }: Props) {
  return (
    <span
      aria-hidden
      style={{ background: `oklch(0.46 0.1 ${hue})`, clipPath: 'polygon(0 0, 100% 0, 100% 72%, 72% 100%, 0 100%)' }}
      className={`grid shrink-0 place-items-center font-semibold text-white ${SIZES[size]}`}
    >
      {initialsOf(name)}
    </span>
  );
}
