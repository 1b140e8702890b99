/** The number of a point, on a slip whose cut corner shows the place: in the list and on the picture. */
export function NumberMark({ number, chosen = false }: { number: number; chosen?: boolean }) {
  return (
    <span
      aria-hidden
      style={{ clipPath: 'polygon(0 0, 62% 0, 100% 38%, 100% 100%, 0 100%)' }}
      className={`figures grid h-6 min-w-6 place-items-center px-1 text-xs font-semibold ${chosen ? 'bg-cinnabar text-white' : 'bg-ink text-paper'}`}
    >
      {number}
    </span>
  );
}
