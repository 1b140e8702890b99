import { useState } from 'react';
import type { MixSettings, Take } from '../../api/client';
import { ShownDialog } from '../../shared/shown/ShownDialog';
import { SettingCells } from '../../shared/mix/SettingCells';
import { StartSettings } from './StartSettings';

interface Props {
  readonly settings: MixSettings;
  readonly avoid: string;
  readonly onChange: (settings: MixSettings) => void;
  readonly onAvoid: (avoid: string) => void;
  readonly take: Take | undefined;
  readonly onMask: () => void;
}

/** The settings of a mix besides words and influences. */
export function Settings({ settings, avoid, onChange, onAvoid, take, onMask }: Props) {
  const [shows, setShows] = useState(false);
  return (
    <section aria-label="Settings" className="flex flex-col gap-1.5">
      <div className="flex items-baseline justify-between">
        <h2 className="text-sm font-semibold text-muted">Settings</h2>
        <button type="button" onClick={() => setShows(true)} className="text-sm text-muted underline hover:text-ink">
          What each does
        </button>
      </div>
      {shows && <ShownDialog onClose={() => setShows(false)} />}
      <div className="grid grid-cols-2 gap-1.5">
        <SettingCells settings={settings} onChange={onChange} />
        <StartSettings settings={settings} take={take} onChange={onChange} onMask={onMask} />
        <label className="col-span-2 flex items-center gap-2 rounded-lg border border-line bg-card px-2.5 py-1">
          <span className="shrink-0 text-muted">Without</span>
          <input
            key={avoid}
            aria-label="Words to avoid"
            defaultValue={avoid}
            maxLength={1000}
            placeholder="what to leave out"
            onBlur={(e) => e.target.value !== avoid && onAvoid(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
            className="w-full bg-transparent"
          />
        </label>
      </div>
    </section>
  );
}
