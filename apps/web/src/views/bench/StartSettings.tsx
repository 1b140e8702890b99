import type { MixSettings, Take } from '../../api/client';
import { useReferencesById } from '../../api/references';
import { useTake } from '../../api/sheets';
import { NumberField } from '../../shared/forms/NumberField';

/** How far a start picture may change where nothing else is said, 0..1. */
export const USUAL_CHANGE = 0.5;

interface Props {
  readonly settings: MixSettings;
  /** The take on the table, which may be started from. */
  readonly take: Take | undefined;
  readonly onChange: (settings: MixSettings) => void;
  readonly onMask: () => void;
}

/** The picture that a mix starts from, how far it may change, and where. */
export function StartSettings({ settings, take, onChange, onMask }: Props) {
  const { start, mask } = settings;
  const { data: from } = useTake(start?.of === 'take' ? start.id : undefined);
  const references = useReferencesById(start?.of === 'reference' ? [start.id] : []);
  const picture = from?.thumbnailUrl ?? references.get(start?.id ?? '')?.thumbnailUrl;
  if (!start)
    return (
      <button
        type="button"
        disabled={take?.status !== 'done'}
        onClick={() => onChange({ ...settings, start: { of: 'take', id: take!.id, change: USUAL_CHANGE } })}
        className="col-span-2 rounded-lg border border-dashed border-line px-2.5 py-1 text-left text-muted enabled:hover:border-edge enabled:hover:text-ink disabled:opacity-60"
      >
        Start from the take on the table, or drop a picture there
      </button>
    );
  return (
    <div className="col-span-2 flex items-center gap-2 rounded-lg border border-line bg-card p-1.5">
      {picture ? (
        <img src={picture} alt="Start picture" className="h-10 w-14 object-cover" />
      ) : (
        <span className="h-10 w-14 bg-shade" />
      )}
      <div className="min-w-0 flex-1 text-sm leading-snug">
        <div className="flex items-center gap-1">
          <span className="text-muted">changed</span>
          <NumberField
            label="Change of the start picture in percent"
            value={start.change * 100}
            max={100}
            step={5}
            digits={0}
            onSave={(v) => onChange({ ...settings, start: { ...start, change: v / 100 } })}
            className="w-9 text-right"
          />
          %
        </div>
        <button type="button" onClick={onMask} className="underline">
          {mask ? 'under its mask' : 'everywhere; paint a mask'}
        </button>
      </div>
      <button
        type="button"
        aria-label="Do not start from a picture"
        onClick={() => onChange({ ...settings, start: undefined, mask: undefined })}
        className="rounded px-1.5 text-muted hover:text-ink"
      >
        ×
      </button>
    </div>
  );
}
