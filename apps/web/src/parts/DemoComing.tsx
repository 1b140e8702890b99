import { useStudio } from '../api/queries';

/** Says in an empty place that the demo studio will still bring something here; nothing once it is drawn, or where there is none. */
export function DemoComing({ what }: { readonly what: string }) {
  const { data } = useStudio();
  if (!data || data.demo.done >= data.demo.total) return null;
  return (
    <span className="mt-2 block text-muted">
      {what} of the demo studio are still being drawn: {data.demo.done} of {data.demo.total} steps are done.
    </span>
  );
}
