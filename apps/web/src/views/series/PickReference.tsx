import { give, GIVES } from '@urbild/core';
import { useState } from 'react';
import type { MixInfluence, Reference } from '../../api/client';
import { useReferencesById, useSearch } from '../../api/references';

const FOR_A_SHOT = GIVES.filter((g) => give(g).forShot);
const SHOWN = 24;

/** Finds a reference by words and says what it shall give. */
export function PickReference({ onPick }: { onPick: (reference: Reference, gives: MixInfluence['gives']) => void }) {
  const [text, setText] = useState('');
  const [gives, setGives] = useState<MixInfluence['gives']>('layout');
  const { data: found } = useSearch(text.trim() ? `words=${encodeURIComponent(text.trim())}` : '');
  const pictures = useReferencesById((found?.ids ?? []).slice(0, SHOWN));
  return (
    <div className="flex flex-col gap-2">
      <div className="flex gap-2">
        <input
          aria-label="Find a reference"
          placeholder="find a reference"
          value={text}
          onChange={(e) => setText(e.target.value)}
          className="min-w-0 flex-1 rounded-lg border border-line bg-card px-2 py-1"
        />
        <select
          aria-label="What it gives"
          value={gives}
          onChange={(e) => setGives(e.target.value as MixInfluence['gives'])}
          className="rounded-lg border border-line bg-card px-1 py-1"
        >
          {FOR_A_SHOT.map((g) => (
            <option key={g}>{g}</option>
          ))}
        </select>
      </div>
      <ul aria-label="Found references" className="grid max-h-48 grid-cols-4 gap-1.5 overflow-y-auto">
        {[...pictures.values()].map((r) => (
          <li key={r.id}>
            <button
              type="button"
              aria-label={r.title}
              title={r.title}
              onClick={() => onPick(r, gives)}
              className="block w-full"
            >
              <img src={r.thumbnailUrl} alt="" className="aspect-square w-full rounded object-cover" />
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
