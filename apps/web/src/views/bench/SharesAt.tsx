import type { MixInfluence } from '../../api/client';
import { percent } from '../../shared/forms/figures';
import type { Lookup } from '../../shared/mix/lookup';
import { HUES } from '../../theme/kinds';
import { LANE } from './Lane';
import { sharesFor, type ChartChannel } from './shares';

/** All shares at the moment under the pointer. */
export function SharesAt({
  at,
  weighing,
  channel,
  influences,
  lookup,
}: {
  at: number | undefined;
  weighing: Parameters<typeof sharesFor>[0];
  channel: ChartChannel;
  influences: readonly MixInfluence[];
  lookup: Lookup;
}) {
  const shares = at === undefined ? undefined : sharesFor(weighing, channel, at);
  return (
    <div aria-hidden="true" className="pointer-events-none absolute inset-x-0 -top-[44px] h-[44px]">
      {shares && (
        <div className="absolute top-0 z-30" style={{ left: `${at! * 100}%` }}>
          <div className="absolute top-0 w-px bg-cinnabar" style={{ height: LANE * (influences.length + 1) }} />
          <div
            className={`absolute top-1 w-52 rounded-lg bg-ink px-3 py-2 text-sm text-paper shadow-lg ${at! > 0.75 ? 'right-2' : 'left-2'}`}
          >
            <div className="mb-1 font-semibold">
              at {percent(at!)}, {channel === 'all' ? 'all channels' : channel}
            </div>
            {influences.map((i, k) => (
              <div key={i.id} className="flex items-center gap-2">
                <span className="size-2 rounded-full" style={{ background: HUES[lookup.hue(i)] }} />
                <span className="flex-1 truncate">{lookup.name(i)}</span>
                <span className="figures">{percent(shares.influences[k])}</span>
              </div>
            ))}
            <div className="flex justify-between">
              <span>the prompt</span>
              <span className="figures">{percent(shares.words)}</span>
            </div>
          </div>
        </div>
      )}
    </div>
  );
}
