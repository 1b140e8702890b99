import { arrivalText } from '@urbild/core';
import { Link } from 'react-router';
import type { Take } from '../../api/client';
import { Button } from '../../parts/Button';
import { CompareModes, ComparePictures, type CompareMode } from '../../parts/ComparePictures';
import { percent } from '../../shared/forms/figures';
import type { Lookup } from '../../shared/mix/lookup';

interface Props {
  readonly take: Take;
  /** The values of its cell. */
  readonly label: string;
  readonly lookup: Lookup;
  readonly mode: CompareMode;
  readonly onMode: (mode: CompareMode) => void;
  readonly isProofing: boolean;
  readonly onProof: () => void;
  readonly onAdopt: () => void;
}

/** The chosen cell of a strip, large and against its control, with what was measured of it and what it leads to. */
export function StripStage({ take, label, lookup, mode, onMode, isProofing, onProof, onAdopt }: Props) {
  const aspect = take.width / take.height;
  return (
    <div className="flex min-h-0 flex-col bg-booth">
      <div className="min-h-0 flex-1 px-4 pt-3">
        <ComparePictures
          mode={mode}
          pictures={[
            { url: take.pictureUrl, label: label, alt: `${take.prompt}: ${label}`, aspect },
            ...(take.control
              ? [
                  {
                    url: take.control.pictureUrl,
                    label: 'control',
                    alt: 'The same words and seed without references',
                    aspect,
                  },
                ]
              : []),
          ]}
        />
      </div>
      <div className="flex min-w-0 items-center gap-3 px-4 py-2 text-caption">
        <CompareModes mode={mode} onMode={onMode} />
        <span className="figures ml-auto min-w-0 truncate text-sm" title={measured(take, lookup)}>
          {measured(take, lookup)}
        </span>
        <Link to={`/takes/${take.id}`} className="text-sm underline underline-offset-2">
          Open
        </Link>
        <Button onClick={onProof} disabled={take.quality !== 'draft' || isProofing} className="py-1 whitespace-nowrap">
          {take.quality === 'draft' ? 'Proof of it' : 'is a proof'}
        </Button>
        <Button look="main" onClick={onAdopt} className="py-1">
          Adopt
        </Button>
      </div>
    </div>
  );
}

function measured(take: Take, lookup: Lookup): string {
  if (take.status !== 'done') return take.status === 'failed' ? (take.error ?? 'failed') : '';
  return [
    ...take.arrivals.flatMap((a) => {
      const influence = take.influences.find((i) => i.id === a.influenceId);
      return influence && a.overall !== undefined ? [`${lookup.name(influence)} ${arrivalText(a.overall)}`] : [];
    }),
    ...(take.wordsKept === undefined ? [] : [`words ${percent(take.wordsKept)}`]),
  ].join(' · ');
}
