import legends from './legends.generated.json';

interface Legend {
  readonly reference: boolean;
  readonly captions: readonly string[];
}

/** What stands under the pictures of a setting or a give; undefined for what has none. */
export const legendOf = (name: string): Legend | undefined => (legends as Readonly<Record<string, Legend>>)[name];

/** What a setting or a give does, in pictures that the engine drew: what gives first, then one picture at each value. */
export function ShownStrip({ name }: { readonly name: string }) {
  const legend = legendOf(name);
  if (!legend) return null;
  const under = [...(legend.reference ? ['what gives'] : []), ...legend.captions];
  return (
    <figure aria-label={`What ${name} does`} style={{ width: `${under.length * 9.25}rem` }} className="max-w-full">
      <img
        src={`/shown/${name}.webp`}
        alt={`${legend.reference ? 'What gives, then the' : 'The'} same words at ${legend.captions.join('; ')}`}
        width={288 * under.length + 6 * (under.length - 1)}
        height={192}
        className="h-auto w-full"
      />
      <figcaption
        className="mt-1 grid text-center text-sm"
        style={{ gridTemplateColumns: `repeat(${under.length}, minmax(0, 1fr))` }}
      >
        {under.map((words) => (
          <span key={words}>{words}</span>
        ))}
      </figcaption>
    </figure>
  );
}
