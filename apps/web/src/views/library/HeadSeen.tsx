/** What was taken for what, in the colours of the tints; named from the head downwards. */
const PARTS = [
  ['hair', '#5b86ab'],
  ['skin', '#d79a86'],
  ['clothes', '#93b489'],
] as const;

/** The head that was looked at, with what each colour was read from: what is pale was taken for the ground. */
export function HeadSeen({ url }: { url: string }) {
  return (
    <figure className="grid grid-cols-[auto_1fr] gap-x-3">
      <img
        src={url}
        alt="The head, with hair, skin and clothes tinted"
        className="w-36 rounded border border-line bg-card"
      />
      <figcaption className="self-center text-sm text-muted">
        <p className="mb-1">Each colour is read from its tint:</p>
        <ul>
          {PARTS.map(([name, colour]) => (
            <li key={name} className="flex items-center gap-2">
              <span aria-hidden className="size-3 rounded-full" style={{ background: colour }} />
              {name}
            </li>
          ))}
        </ul>
        <p className="mt-1">What is pale is taken for ground.</p>
      </figcaption>
    </figure>
  );
}
