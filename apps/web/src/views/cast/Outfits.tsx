import {
  LONGEST_OUTFIT_NAME,
  LONGEST_OUTFIT_WORDS,
  MOST_OUTFIT_PICTURES,
  MOST_OUTFITS,
  OUTFIT_NAME,
  understand,
  wearing,
} from '@urbild/core';
import { Plus, Trash2, X } from 'lucide-react';
import { useReferencesById } from '../../api/references';
import type { Outfit } from '../../api/sheets';
import { Button } from '../../parts/Button';
import { TextField } from '../../shared/forms/TextField';
import { AddPictures } from '../../shared/pictures/AddPictures';

interface Props {
  /** Whose clothes they are. */
  readonly name: string;
  readonly outfits: readonly Outfit[];
  readonly onChange: (outfits: Outfit[]) => void;
}

/** A name that no other outfit has. */
function freeName(outfits: readonly Outfit[]): string {
  const taken = new Set(outfits.map((o) => o.name.toLowerCase()));
  for (let n = outfits.length + 1; ; n++) if (!taken.has(`outfit ${n}`)) return `outfit ${n}`;
}

/** The clothes of a character that prompts and shots can call by name. */
export function Outfits({ name, outfits, onChange }: Props) {
  const put = (k: number, fields: Partial<Outfit>) =>
    onChange(outfits.map((o, at) => (at === k ? { ...o, ...fields } : o)));
  return (
    <section aria-label="Outfits" className="mt-5 flex flex-col gap-2">
      <header className="flex items-center gap-3 text-caption">
        <h2 className="font-title text-lg font-semibold">Outfits</h2>
        <p className="min-w-0 flex-1">
          {outfits.length
            ? `Call one by its name: “${name} in the ${outfits[0].name}”.`
            : `Clothes that a prompt can call by name, as in “${name} in the winter coat”.`}
        </p>
        <Button
          className="flex items-center gap-1.5"
          disabled={outfits.length >= MOST_OUTFITS}
          onClick={() =>
            onChange([
              ...outfits,
              { id: crypto.randomUUID().slice(0, 8), name: freeName(outfits), wears: '', pictures: [] },
            ])
          }
        >
          <Plus size={16} aria-hidden /> New outfit
        </Button>
      </header>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(19rem,1fr))] gap-3">
        {outfits.map((outfit, k) => (
          <OutfitCard
            key={outfit.id}
            outfit={outfit}
            taken={outfits.filter((o) => o !== outfit).map((o) => o.name.toLowerCase())}
            onPut={(fields) => put(k, fields)}
            onRemove={() => onChange(outfits.filter((o) => o !== outfit))}
          />
        ))}
      </ul>
    </section>
  );
}

interface CardProps {
  readonly outfit: Outfit;
  /** Names of the others, in small letters. */
  readonly taken: readonly string[];
  readonly onPut: (fields: Partial<Outfit>) => void;
  readonly onRemove: () => void;
}

function OutfitCard({ outfit: { name, wears, pictures }, taken, onPut, onRemove }: CardProps) {
  const field = 'rounded-md border border-transparent bg-transparent px-1 py-0.5 hover:border-line focus:bg-paper';
  const isFree = (text: string) => OUTFIT_NAME.test(text) && !taken.includes(text.toLowerCase());
  return (
    <li className="flex flex-col gap-1.5 rounded-lg bg-card p-2.5">
      <div className="flex items-center gap-1">
        <TextField
          label="Name of the outfit"
          value={name}
          most={LONGEST_OUTFIT_NAME}
          className={`min-w-0 flex-1 font-title text-lg font-semibold ${field}`}
          onSave={(text) => isFree(text.trim()) && onPut({ name: text.trim() })}
        />
        <button
          type="button"
          aria-label={`Remove ${name}`}
          className="grid size-6 place-items-center rounded text-muted hover:text-ink"
          onClick={onRemove}
        >
          <Trash2 size={14} aria-hidden />
        </button>
      </div>
      <TextField
        label={`What ${name} is, in words`}
        value={wears}
        most={LONGEST_OUTFIT_WORDS}
        rows={2}
        placeholder="a green coat, a knit cap and boots"
        className={`resize-none border-line ${field}`}
        onSave={(text) => onPut({ wears: text.trim() })}
      />
      <NotKnown wears={wears} />
      <Pictures name={name} pictures={pictures} onPictures={(next) => onPut({ pictures: next })} />
    </li>
  );
}

/** Words for clothes that nothing is drawn for. */
function NotKnown({ wears }: { wears: string }) {
  const { unheard } = understand(wearing(wears));
  if (!unheard.length) return null;
  return <p className="text-sm text-signal">Not drawn: {unheard.map((s) => s.text).join(', ')}.</p>;
}

interface PicturesProps {
  readonly name: string;
  readonly pictures: readonly string[];
  readonly onPictures: (ids: string[]) => void;
}

/** The pictures whose clothes it is. */
function Pictures({ name, pictures, onPictures }: PicturesProps) {
  const references = useReferencesById([...pictures]);
  return (
    <div className="flex flex-wrap items-center gap-2">
      {pictures.map((id) => {
        const r = references.get(id);
        return (
          <span key={id} className="relative">
            {r ? (
              <img src={r.thumbnailUrl} alt={r.alt} className="h-20 w-auto" />
            ) : (
              <span className="skeleton block h-20 w-16" />
            )}
            <button
              type="button"
              aria-label={`Remove ${r?.title ?? 'it'} from ${name}`}
              className="absolute top-0.5 right-0.5 grid size-6 place-items-center rounded bg-card/85 text-ink"
              onClick={() => onPictures(pictures.filter((other) => other !== id))}
            >
              <X size={13} aria-hidden />
            </button>
          </span>
        );
      })}
      <AddPictures
        label="Its pictures"
        have={pictures}
        kind="character"
        onAdd={(ids) => onPictures([...pictures, ...ids].slice(0, MOST_OUTFIT_PICTURES))}
      />
    </div>
  );
}
