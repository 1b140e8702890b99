import type { MixInfluence, MixSettings, Take } from '../../api/client';
import type { MixMask } from '../../api/trials';
import { paintOf } from '../../theme/colours';
import { InForceDialog } from './InForceDialog';
import type { Lookup } from '../../shared/mix/lookup';
import { BenchMask } from './BenchMask';
import { SolveDialog } from '../../shared/mix/solve/SolveDialog';
import type { BenchMix } from './useBenchMix';
import { VersionsDialog } from './VersionsDialog';
import { WordsDialog } from './WordsDialog';

/** What lies over the bench. */
export type BenchDialog = 'words' | 'solve' | 'force' | 'versions';

interface Props {
  readonly open: BenchDialog | undefined;
  /** The influence whose region is painted, or `start` for the mask of the start picture. */
  readonly painting: string | undefined;
  readonly onClose: () => void;
  readonly mixId: string;
  readonly bench: BenchMix;
  readonly lookup: Lookup;
  readonly take: Take | undefined;
  /** All takes of the mix, drafts too, the newest first. */
  readonly takes: readonly Take[];
}

/** The dialogs of the bench. */
export function BenchDialogs({ open, painting, onClose, mixId, bench, lookup, take, takes }: Props) {
  const { mix, change, save } = bench;
  const set = (id: string, fields: Partial<MixInfluence>) =>
    change((m) => ({ ...m, influences: m.influences.map((i) => (i.id === id ? { ...i, ...fields } : i)) }));
  const setMask = (mask: MixSettings['mask']) => change((m) => ({ ...m, settings: { ...m.settings, mask } }));
  const [w, h] = mix.settings.aspect.split(':').map(Number);
  if (open === 'words')
    return (
      <WordsDialog
        mixId={mixId}
        prompt={mix.prompt}
        avoid={mix.avoid}
        takes={takes}
        emphases={mix.settings.emphases}
        onChange={(prompt) => change((m) => ({ ...m, prompt }))}
        onWeigh={(emphases) => change((m) => ({ ...m, settings: { ...m.settings, emphases } }))}
        save={save}
        onClose={onClose}
      />
    );
  if (open === 'solve')
    return (
      <SolveDialog
        mixId={mixId}
        influences={mix.influences}
        lookup={lookup}
        take={take}
        save={save}
        onAdopt={(weights) =>
          change((m) => ({
            ...m,
            influences: m.influences.map((i) => (weights.has(i.id) ? { ...i, weight: weights.get(i.id)! } : i)),
          }))
        }
        onClose={onClose}
      />
    );
  if (open === 'force') return <InForceDialog mixId={mixId} mix={mix} lookup={lookup} onClose={onClose} />;
  if (open === 'versions')
    return (
      <VersionsDialog
        mixId={mixId}
        mix={mix}
        onTake={({ prompt, avoid, settings, influences }) => {
          change((m) => ({ ...m, prompt, avoid, settings, influences }));
          onClose();
        }}
        onClose={onClose}
      />
    );
  const influence = mix.influences.find((i) => i.id === painting);
  if (painting === 'start' || influence)
    return (
      <BenchMask
        title={influence ? `Where ${lookup.name(influence)} acts` : 'Where the start picture changes'}
        start={influence ? undefined : mix.settings.start}
        take={take}
        aspect={w / h}
        mask={influence ? influence.region : mix.settings.mask}
        hue={paintOf(influence ? lookup.hue(influence) : 'cinnabar')}
        onSave={(mask: MixMask) => (influence ? set(influence.id, { region: mask }) : setMask(mask))}
        onClear={() => (influence ? set(influence.id, { region: undefined }) : setMask(undefined))}
        onClose={onClose}
      />
    );
  return null;
}
