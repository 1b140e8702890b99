import { useNavigate, useParams } from 'react-router';
import type { Mix } from '../../api/client';
import { useInProject, useProject, useProjectMixes } from '../../api/projects';
import { useMixes, useStudio } from '../../api/queries';
import { useAllSeries, useNewSeries, useSeries } from '../../api/series';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { useTitle } from '../../parts/useTitle';
import { Sheet } from './Sheet';

/** A series as a contact sheet: the drift chart stands exactly above the shots that it measures. */
export function SeriesView() {
  const { seriesId } = useParams();
  const { data: every, isPending } = useAllSeries();
  const { data: known } = useMixes();
  const mixes = useProjectMixes();
  const project = useProject();
  // those of the project, and the one in the address wherever it belongs; where its mix is gone nobody knows whose it was
  const all = every?.filter((s) => {
    const of = known?.find((m) => m.id === s.mixId)?.projectId;
    return s.id === seriesId || !project || !of || of === project.id;
  });
  const { data: studio } = useStudio();
  const begin = useNewSeries();
  const go = useNavigate();
  // the series of the address is asked for at once, beside the list of all
  const id = all && !all.some((s) => s.id === seriesId) ? all[0]?.id : seriesId;
  const { data: series } = useSeries(id);
  useInProject(known?.find((m) => m.id === series?.mixId)?.projectId);
  useTitle('Series', series?.name);
  const start = (mix: Mix) => {
    const { prompt, settings } = mix;
    const shots = prompt.trim() ? [{ title: 'First shot', prompt, seed: settings.seed }] : undefined;
    begin.mutate({ name: 'New series', mixId: mix.id, shots }, { onSuccess: (s) => void go(`/series/${s.id}`) });
  };
  if ((isPending && !series) || (id && !series))
    return <div className="skeleton h-full" role="status" aria-label="The series is being opened" />;
  if (!series) {
    const drawing = studio && studio.demo.done < studio.demo.total;
    return (
      <EmptyState
        whole
        title={drawing ? 'The demo studio is being drawn' : 'No series yet'}
        action={
          mixes?.length ? (
            <Button look="main" onClick={() => start(mixes[0])}>
              Begin a series over “{mixes[0].name}”
            </Button>
          ) : undefined
        }
      >
        {drawing
          ? `${studio.demo.done} of ${studio.demo.total} steps are done; the demo series comes last.`
          : 'A series is a list of shots, a prompt each, over one mix: one look and one identity for all of them.'}
      </EmptyState>
    );
  }
  return (
    <Sheet
      key={series.id}
      series={series}
      all={all ?? []}
      onNew={() => {
        const mix = known?.find((m) => m.id === series.mixId);
        if (mix) start(mix);
      }}
    />
  );
}
