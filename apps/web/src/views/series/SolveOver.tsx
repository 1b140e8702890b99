import type { MixInfluence, Series } from '../../api/client';
import { useMixes } from '../../api/queries';
import { useAdopt } from '../../api/trials';
import type { Lookup } from '../../shared/mix/lookup';
import { SolveDialog } from '../../shared/mix/solve/SolveDialog';

/** Looks for the weights that bring every reference as far as wished, over several shots at once. */
export function SolveOver({
  series,
  shotIds,
  lookup,
  onClose,
}: {
  series: Series;
  shotIds: readonly string[];
  lookup: Lookup;
  onClose: () => void;
}) {
  const { data: mixes } = useMixes();
  const adopt = useAdopt(series.mixId);
  const mix = mixes?.find((m) => m.id === series.mixId);
  if (!mix) return null;
  // who is called by the words of a shot is in the mix from the moment that it has a weight of its own
  const called = (series.influences as MixInfluence[]).filter((i) => !mix.influences.some((own) => own.id === i.id));
  const all = [...mix.influences, ...called];
  return (
    <SolveDialog
      mixId={mix.id}
      influences={series.influences as MixInfluence[]}
      lookup={lookup}
      take={undefined}
      over={{ seriesId: series.id, shotIds }}
      save={() => Promise.resolve()}
      onAdopt={(weights) =>
        void adopt(
          { ...mix, influences: all.map((i) => ({ ...i, weight: weights.get(i.id) ?? i.weight })) },
          'The whole series has these weights now',
        )
      }
      onClose={onClose}
    />
  );
}
