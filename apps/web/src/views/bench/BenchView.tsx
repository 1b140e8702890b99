import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useInProject, useProjectMixes } from '../../api/projects';
import { useMixes, useNewMix, useStudio } from '../../api/queries';
import { Button } from '../../parts/Button';
import { EmptyState } from '../../parts/EmptyState';
import { Bench } from './Bench';
import { useTitle } from '../../parts/useTitle';

/** The bench for the mix in the address, or for the one of the project that was worked on last. */
export function BenchView() {
  const { mixId } = useParams();
  const go = useNavigate();
  const { data: mixes, isPending } = useMixes();
  const own = useProjectMixes();
  const { data: studio } = useStudio();
  const newMix = useNewMix();
  const [fallback] = useState(mixId);
  const mix = mixId
    ? mixes?.find((m) => m.id === mixId)
    : (own?.find((m) => m.id === fallback) ?? own?.find((m) => !m.archived));
  useInProject(mix?.projectId);
  useTitle('Bench', mix?.name);
  const make = () =>
    newMix.mutate({ name: `Mix ${(own?.length ?? 0) + 1}` }, { onSuccess: (made) => void go(`/bench/${made.id}`) });
  if (isPending) return <div className="skeleton h-full" aria-label="The bench is being set up" />;
  if (!mix) {
    const drawing = studio && studio.demo.done < studio.demo.total;
    return (
      <EmptyState
        whole
        title={drawing ? 'The demo studio is being drawn' : 'No mix on the bench'}
        action={
          <Button look="main" onClick={make}>
            Begin a mix
          </Button>
        }
      >
        {drawing
          ? `${studio.demo.done} of ${studio.demo.total} pictures are ready; the demo mix comes with the first of them. You can begin one of your own already.`
          : 'A mix is a prompt with several references, each with its own weight and its own part of the course.'}
      </EmptyState>
    );
  }
  return (
    <Bench
      key={mix.id}
      stored={mix}
      mixes={mixes!}
      gives={studio?.engine.gives ?? ['look', 'palette', 'everything']}
      onOpen={(id) => void go(`/bench/${id}`)}
      onNew={make}
    />
  );
}
