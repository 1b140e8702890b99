import { differences } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { useVersions, type MixVersion } from '../../api/trials';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import { useSources } from '../../shared/mix/useSources';
import type { Edited } from './useBenchMix';

interface Props {
  readonly mixId: string;
  readonly mix: Edited;
  readonly onTake: (version: MixVersion) => void;
  readonly onClose: () => void;
}

/** The states that the mix had when takes were asked of it, each with what differs from the present one. */
export function VersionsDialog({ mixId, mix, onTake, onClose }: Props) {
  const { data: versions } = useVersions(mixId);
  const lookup = useSources([...mix.influences, ...(versions ?? []).flatMap((v) => v.influences)]);
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[85vh] w-[40rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-4 rounded-2xl bg-paper p-6 shadow-2xl"
      onClose={onClose}
    >
      <Dialog.Title className="font-title text-xl">Versions of “{mix.name}”</Dialog.Title>
      {!versions ? (
        <div className="skeleton h-32" />
      ) : !versions.length ? (
        <p>A version is kept whenever a proof is asked for. There is none yet.</p>
      ) : (
        <ul className="flex min-h-0 flex-col divide-y divide-line overflow-auto">
          {versions.map((v) => {
            const changed = differences(v, mix, lookup.name);
            return (
              <li key={v.id} className="flex items-start gap-3 py-2">
                <span className="figures w-32 shrink-0 text-sm text-muted">
                  <span className="font-semibold text-ink">Version {v.number}</span>
                  <br />
                  {new Date(v.createdAt).toLocaleString()}
                </span>
                <ul className="min-w-0 flex-1 text-sm">
                  {changed.length ? (
                    changed.slice(0, 6).map((c) => <li key={c}>since then: {c}</li>)
                  ) : (
                    <li>the bench as it is now</li>
                  )}
                </ul>
                <Button disabled={!changed.length} onClick={() => onTake(v)}>
                  Take it back
                </Button>
              </li>
            );
          })}
        </ul>
      )}
      <Dialog.Close className="self-start rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">
        Close
      </Dialog.Close>
    </DialogFrame>
  );
}
