import { useMadeWith } from '../../api/sheets';

/** What was made with something. */
export function MadeWith({ id }: { id: string }) {
  const { data: takes } = useMadeWith(id);
  return (
    <section>
      <h2 className="mb-1 text-sm font-semibold text-muted">Made with it</h2>
      {takes?.length ? (
        <div className="grid grid-cols-3 gap-1">
          {takes.slice(0, 9).map((t) => (
            <img key={t.id} src={t.thumbnailUrl} alt={t.prompt} className="aspect-[3/2] w-full object-cover" />
          ))}
        </div>
      ) : (
        <p className="text-sm text-muted">Nothing yet.</p>
      )}
    </section>
  );
}
