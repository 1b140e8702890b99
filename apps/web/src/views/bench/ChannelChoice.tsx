import { CHANNELS } from '@urbild/core';
import type { ChartChannel } from './shares';
import { OneStop } from '../../shared/keys/OneStop';

const CHANNEL_NAMES: readonly ChartChannel[] = ['all', ...CHANNELS.filter((c) => c !== 'pose')];

/** Which channel the shares are shown for. */
export function ChannelChoice({
  channel,
  onChannel,
}: {
  channel: ChartChannel;
  onChannel: (channel: ChartChannel) => void;
}) {
  return (
    <OneStop role="group" className="flex items-center gap-1" aria-label="Shares shown for">
      {CHANNEL_NAMES.map((c) => (
        <button
          key={c}
          type="button"
          aria-pressed={channel === c}
          onClick={() => onChannel(c)}
          className={`rounded px-1.5 py-0.5 text-sm ${channel === c ? 'bg-ink text-paper' : 'text-muted hover:text-ink'}`}
        >
          {c === 'all' ? 'all shares' : c}
        </button>
      ))}
    </OneStop>
  );
}
