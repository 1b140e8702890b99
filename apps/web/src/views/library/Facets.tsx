import type { ReactNode } from 'react';
import type { Kind, Reference } from '../../api/client';
import { KindSign } from '../../parts/KindSign';
import { KINDS } from '../../theme/kinds';

interface Props {
  readonly references: readonly Reference[];
  readonly kind: Kind | null;
  readonly tag: string | null;
  readonly onKind: (kind: Kind | null) => void;
  readonly onTag: (tag: string | null) => void;
}

/** What the library can be narrowed by, with counts. */
export function Facets({ references, kind, tag, onKind, onTag }: Props) {
  const tags = new Map<string, number>();
  for (const r of references) for (const t of r.tags) tags.set(t, (tags.get(t) ?? 0) + 1);
  const common = [...tags].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).slice(0, 24);
  return (
    <aside aria-label="Narrow the library" className="min-h-0 overflow-auto border-r border-line bg-paper px-3 py-4">
      <Facet title="Kind">
        <Choice name="All" count={references.length} chosen={!kind} onChoose={() => onKind(null)} />
        {KINDS.map((k) => (
          <Choice
            key={k.kind}
            name={k.name}
            sign={<KindSign kind={k.kind} />}
            count={references.filter((r) => r.kind === k.kind).length}
            chosen={kind === k.kind}
            onChoose={() => onKind(kind === k.kind ? null : k.kind)}
          />
        ))}
      </Facet>
      {common.length > 0 && (
        <Facet title="Tags">
          {common.map(([name, count]) => (
            <Choice
              key={name}
              name={name}
              count={count}
              chosen={tag === name}
              onChoose={() => onTag(tag === name ? null : name)}
            />
          ))}
        </Facet>
      )}
    </aside>
  );
}

function Facet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mb-5">
      <h2 className="mb-1 px-1 text-sm font-semibold text-muted">{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}

function Choice({
  name,
  sign,
  count,
  chosen,
  onChoose,
}: {
  name: string;
  sign?: ReactNode;
  count: number;
  chosen: boolean;
  onChoose: () => void;
}) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        className={`flex w-full items-center gap-2 rounded-md px-1 py-1 text-left ${chosen ? 'bg-shade font-semibold' : 'hover:bg-shade'}`}
      >
        {sign}
        <span className="flex-1 truncate">{name}</span>
        <span className="figures text-sm text-muted">{count}</span>
      </button>
    </li>
  );
}
