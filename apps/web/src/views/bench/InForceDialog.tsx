import { Dialog } from 'radix-ui';
import type { MixInfluence } from '../../api/client';
import { useInForce } from '../../api/trials';
import { KindSign } from '../../parts/KindSign';
import type { Lookup } from '../../shared/mix/lookup';
import { percent } from '../../shared/forms/figures';
import type { Edited } from './useBenchMix';
import { saidOf } from '../../shared/mix/saidOf';
import { DialogFrame } from '../../parts/DialogFrame';

interface Props {
  readonly mixId: string;
  readonly mix: Edited;
  readonly lookup: Lookup;
  readonly onClose: () => void;
}

/** One place that lists everything that acts on the next take, with the pictures that are really used. */
export function InForceDialog({ mixId, mix, lookup, onClose }: Props) {
  const { data: force } = useInForce(mixId, 'proof');
  const { settings } = mix;
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[90vh] w-[52rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-4 overflow-auto rounded-2xl bg-paper p-6 shadow-2xl"
      onClose={onClose}
    >
      <Dialog.Title className="font-title text-xl">What the next proof will use</Dialog.Title>
      {!force ? (
        <div className="skeleton h-40" />
      ) : (
        <>
          <p data-testid="in-force" className="figures">
            {[
              `${force.width} × ${force.height} px`,
              `seed ${settings.seed}`,
              `balance ${settings.balance}`,
              `spread ${settings.spread ?? 1}`,
              ...saidOf(settings),
              settings.medium ? `drawn as ${settings.medium}` : 'drawn as the prompt or the looks ask',
              `engine ${force.engine}`,
              force.usually && `usually ${(force.usually / 1000).toFixed(1)} s`,
              force.ahead ? `${force.ahead} queued before it` : 'nothing queued before it',
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          <p>
            “{mix.prompt}”{mix.avoid && <span className="text-muted"> without {mix.avoid}</span>}
            {force.names.length > 0 && <span className="text-muted"> · the cast knows {force.names.join(', ')}</span>}
          </p>
          {force.startUrl && settings.start && (
            <div className="flex items-center gap-3">
              <img src={force.startUrl} alt="Start picture" className="h-16" />
              starts from this {settings.start.of}, changed {percent(settings.start.change)}
              {settings.mask ? ', under a mask' : ''}
            </div>
          )}
          <ul className="flex flex-col divide-y divide-line">
            {mix.influences.map((i) => (
              <Row key={i.id} influence={i} lookup={lookup} acting={force.influences.find((f) => f.id === i.id)} />
            ))}
          </ul>
        </>
      )}
      <Dialog.Close className="self-start rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">
        Close
      </Dialog.Close>
    </DialogFrame>
  );
}

type Acting = NonNullable<ReturnType<typeof useInForce>['data']>['influences'][number];

function Row({
  influence: i,
  lookup,
  acting,
}: {
  influence: MixInfluence;
  lookup: Lookup;
  acting: Acting | undefined;
}) {
  return (
    <li className={`flex items-start gap-3 py-2 ${acting && !acting.acts ? 'text-muted' : ''}`}>
      <KindSign kind={lookup.hue(i)} />
      <div className="w-56 shrink-0 leading-snug">
        <div className="font-semibold">{lookup.name(i)}</div>
        <div className="figures text-sm text-muted">
          {i.gives} {i.weight.toFixed(2)}, {percent(i.from)} to {percent(i.to)}, read {i.reading}
          {i.region ? ', in a region' : ''}
        </div>
        {acting?.why && <div className="text-sm font-semibold text-signal">does nothing: {acting.why}</div>}
      </div>
      <ul className="flex min-w-0 flex-1 flex-wrap gap-2">
        {acting?.pictures.map((p) => (
          <li key={p.referenceId} className="w-24 text-xs leading-tight">
            <img src={p.pictureUrl} alt={p.title} className="h-16 w-24 object-contain object-left" />
            <span className="block truncate" title={p.title}>
              {p.title}
            </span>
            <span className="figures text-muted">
              {percent(p.weight)}
              {p.fileVersion > 1 ? `, version ${p.fileVersion}` : ''}
              {p.prepared ? ', prepared' : ''}
            </span>
          </li>
        ))}
      </ul>
    </li>
  );
}
