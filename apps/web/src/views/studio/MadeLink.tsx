import { Check, Copy } from 'lucide-react';
import { useState } from 'react';
import { useMe } from '../../api/me';
import { Button } from '../../parts/Button';

interface Props {
  /** Below the address of the studio. */
  readonly path: string;
  readonly says: string;
}

/** A link that was just made, to be sent on: it is shown this once. */
export function MadeLink({ path, says }: Props) {
  const [copied, setCopied] = useState(false);
  const { data: me } = useMe();
  const address = (me?.publicUrl ?? window.location.origin) + path;
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(address);
      setCopied(true);
    } catch {
      // without a clipboard (plain http on a network) the address is there to be marked
      setCopied(false);
    }
  };
  return (
    <div role="status" className="mt-2 flex flex-col gap-1.5 rounded-lg bg-shade p-3">
      <span className="text-sm">{says}</span>
      <div className="flex gap-2">
        <input
          readOnly
          aria-label="The link"
          value={address}
          onFocus={(e) => e.target.select()}
          className="figures min-w-0 flex-1 rounded-lg border border-edge bg-card px-2 py-1.5 text-sm"
        />
        <Button onClick={() => void copy()} className="flex items-center gap-1.5">
          {copied ? <Check size={14} aria-hidden /> : <Copy size={14} aria-hidden />}
          {copied ? 'Copied' : 'Copy'}
        </Button>
      </div>
    </div>
  );
}
