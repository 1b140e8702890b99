import { PersonMark } from './PersonMark';
import { usePlaces } from './PlacesProvider';

/**
 * Marks a part of a page that others hold just now, in their colours. Stands within an element that is positioned and has `what` as its
 * `data-held`. The marks stand at the top, or `low` where something else stands there.
 */
export function HeldBy({ what, low = false }: { what: string; low?: boolean }) {
  const holders = usePlaces().holding.get(what);
  if (!holders) return null;
  return (
    <span
      className="pointer-events-none absolute inset-0 z-10 border-2"
      style={{ borderColor: `oklch(0.46 0.1 ${holders[0].hue})` }}
    >
      <span className={`absolute right-0 flex ${low ? 'bottom-0' : 'top-0'}`}>
        {holders.map((place) => (
          <PersonMark key={place.person} person={place} size="tiny" />
        ))}
      </span>
      <span className="sr-only">{holders.map(({ name }) => name).join(', ')} works on this</span>
    </span>
  );
}
