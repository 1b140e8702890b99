import type { Series } from '../../api/client';
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
  return (
    <SolveDialog
      mixId={mix.id}
      influences={mix.influences}
      lookup={lookup}
      take={undefined}
      over={{ seriesId: series.id, shotIds }}
      save={() => Promise.resolve()}
      onAdopt={(weights) =>
        void adopt(
          { ...mix, influences: mix.influences.map((i) => ({ ...i, weight: weights.get(i.id) ?? i.weight })) },
          'The whole series has these weights now',
        )
      }
      onClose={onClose}
    />
  );
}
