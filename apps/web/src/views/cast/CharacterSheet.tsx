import { SLOTS } from '@urbild/core';
import { Scale, Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { api, ask, type Reference } from '../../api/client';
import { keys } from '../../api/keys';
import { useStudio } from '../../api/queries';
import { useReferencesById } from '../../api/references';
import { useAct, useCast, useChangeCharacter, useCharacterReading, type Character, type Slot } from '../../api/sheets';
import { Button } from '../../parts/Button';
import { useNotice } from '../../parts/notices';
import { Slider } from '../../shared/forms/Slider';
import { characterInfluence } from '../../shared/mix/newInfluences';
import { Editable } from '../../shared/forms/Editable';
import { useWeighInfluences } from '../../shared/mix/useWeigh';
import { AddPictures } from '../../shared/pictures/AddPictures';
import { MadeWith } from '../../shared/pictures/MadeWith';
import { FaceForm } from './FaceForm';
import { HeightLine } from './HeightLine';
import { Outfits } from './Outfits';
import { TraitList } from './TraitList';
import { TraitTally } from './TraitTally';

/** What a picture of a sheet shows: what a person said, or what is seen of it. */
const shownIn = ({ slot }: Character['items'][number], r: Reference | undefined): Slot => slot ?? r?.slot ?? 'front';

/** The model sheet: pictures by slot, traits that can be corrected, how well the pictures agree. */
export function CharacterSheet({ character: c }: { character: Character }) {
  const change = useChangeCharacter();
  const { data: reading } = useCharacterReading(c);
  const references = useReferencesById(c.items.map((i) => i.referenceId));
  const slot = (item: Character['items'][number]) => shownIn(item, references.get(item.referenceId));
  const set = (fields: Parameters<typeof change.mutate>[0]['change']) => change.mutate({ item: c, change: fields });
  return (
    <div className="parts grid min-h-0 grid-cols-[minmax(0,1fr)_332px]">
      <section
        aria-label="Pictures of the character"
        data-main="Pictures of the character"
        className="flex min-h-0 flex-col bg-booth"
      >
        <header className="flex items-center gap-3 border-b border-line bg-paper px-4 py-2">
          <div className="min-w-0 flex-1">
            <Editable
              label="Name"
              value={c.name}
              className="font-title text-xl font-semibold"
              onSave={(name) => name && set({ name })}
            />
          </div>
          <AddPictures
            have={c.items.map((i) => i.referenceId)}
            kind="character"
            onAdd={(ids) =>
              set({
                items: [...c.items, ...ids.map((referenceId) => ({ referenceId }))],
              })
            }
          />
        </header>
        <div className="min-h-0 flex-1 overflow-auto p-3">
          {!c.items.length && <NoPictureYet />}
          <ul className="flex flex-wrap gap-3">
            {[...c.items]
              .sort((x, y) => SLOTS.indexOf(slot(x)) - SLOTS.indexOf(slot(y)))
              .map((item) => (
                <SheetPicture
                  key={item.referenceId}
                  reference={references.get(item.referenceId)}
                  slot={slot(item)}
                  odd={reading?.odd === item.referenceId}
                  onSlot={(to) => set({ items: c.items.map((i) => (i === item ? { ...i, slot: to } : i)) })}
                  onRemove={() => set({ items: c.items.filter((i) => i !== item) })}
                />
              ))}
          </ul>
          <Outfits name={c.name} outfits={c.outfits} onChange={(outfits) => set({ outfits })} />
        </div>
      </section>
      <SheetReadings character={c} reading={reading} onSet={set} />
    </div>
  );
}

interface ReadingsProps {
  readonly character: Character;
  readonly reading: ReturnType<typeof useCharacterReading>['data'];
  readonly onSet: (fields: Parameters<ReturnType<typeof useChangeCharacter>['mutate']>[0]['change']) => void;
}

/** What is known of a character, how it is used, and what was made with it. */
function SheetReadings({ character: c, reading, onSet }: ReadingsProps) {
  const { data: studio } = useStudio();
  const { data: cast } = useCast();
  const weigh = useWeighInfluences();
  return (
    <aside
      aria-label="Traits and readings"
      className="flex min-h-0 flex-col gap-4 overflow-auto border-l border-line bg-paper p-4"
    >
      <Button
        look="main"
        className="flex items-center justify-center gap-2"
        disabled={!c.items.length}
        onClick={() => void weigh([characterInfluence(c.id, c.usualWeight, studio?.engine.gives ?? [])])}
      >
        <Scale size={16} aria-hidden /> Weigh on the bench
      </Button>
      {reading && (
        <>
          <Agreement reading={reading} />
          {reading.face && <FaceForm face={reading.face} />}
          <TraitList
            traits={reading.traits.filter(({ name }) => name !== 'height')}
            corrected={c.corrected}
            onCorrect={(corrected) => onSet({ corrected })}
          />
        </>
      )}
      <HeightLine character={c} cast={cast ?? [c]} onCorrect={(corrected) => onSet({ corrected })} />
      <Weight value={c.usualWeight} onSave={(usualWeight) => onSet({ usualWeight })} />
      <Editable label="Description" value={c.description} long onSave={(description) => onSet({ description })} />
      <TraitTally character={c} />
      <MadeWith id={c.id} />
      <PutAway character={c} />
    </aside>
  );
}

const NoPictureYet = () => (
  <p className="p-6 text-center text-caption">Add a picture: a half figure from the front is the best beginning.</p>
);

function Agreement({ reading }: { reading: NonNullable<ReturnType<typeof useCharacterReading>['data']> }) {
  return (
    <section>
      {reading.pictures.length < 2 ? (
        <p className="text-sm text-muted">With a second picture it can be told whether they agree.</p>
      ) : (
        <>
          <h2 className="mb-1 flex justify-between text-sm font-semibold text-muted">
            The pictures agree <span className="figures text-ink">{Math.round(reading.agreement * 100)} %</span>
          </h2>
          <div className="h-1.5 rounded bg-shade">
            <div className="h-1.5 rounded bg-character" style={{ width: `${reading.agreement * 100}%` }} />
          </div>
        </>
      )}
      <ul className="mt-2 flex flex-col gap-1">
        {reading.advice.map((a) => (
          <li key={a}>{a}</li>
        ))}
      </ul>
      {reading.waiting > 0 && (
        <p className="mt-1 text-sm text-muted">{reading.waiting} pictures are still being looked at.</p>
      )}
    </section>
  );
}

interface PictureProps {
  readonly reference: Reference | undefined;
  readonly slot: Slot;
  readonly odd: boolean;
  readonly onSlot: (slot: Slot) => void;
  readonly onRemove: () => void;
}

/** One picture of the sheet, with what it shows. */
function SheetPicture({ reference: r, slot, odd, onSlot, onRemove }: PictureProps) {
  return (
    <li className={`bg-card ${odd ? 'outline-3 outline-cinnabar' : ''}`}>
      {r ? (
        <img src={r.thumbnailUrl} alt={r.alt} className="h-[max(18rem,20vw)] w-auto" />
      ) : (
        <div className="skeleton h-72 w-56" />
      )}
      <div className="flex items-center gap-1 p-1.5">
        <select
          aria-label={`What ${r?.title ?? 'it'} shows`}
          value={slot}
          onChange={(e) => onSlot(e.target.value as Slot)}
          className="min-w-0 flex-1 rounded bg-transparent"
        >
          {SLOTS.map((s) => (
            <option key={s}>{s}</option>
          ))}
        </select>
        <button
          type="button"
          aria-label={`Remove ${r?.title ?? 'it'}`}
          className="grid size-6 place-items-center rounded text-muted hover:text-ink"
          onClick={onRemove}
        >
          <Trash2 size={14} aria-hidden />
        </button>
      </div>
      {odd && <p className="px-1.5 pb-1 text-sm text-signal">does not agree with the others</p>}
    </li>
  );
}

function Weight({ value, onSave }: { value: number; onSave: (value: number) => void }) {
  return (
    <div className="flex items-center gap-2 text-sm">
      <span className="font-semibold text-muted">Usual weight</span>
      <Slider
        label="Usual weight"
        min={0}
        max={2}
        step={0.05}
        value={value}
        onSave={onSave}
        tone="bg-character"
        className="min-w-0 flex-1"
      />
      <span className="figures">{value.toFixed(2)}</span>
    </div>
  );
}

function PutAway({ character: c }: { character: Character }) {
  const go = useNavigate();
  const tell = useNotice();
  const restore = useAct(keys.cast, () =>
    ask(api.POST('/api/v1/cast/{id}/restore', { params: { path: { id: c.id } } })),
  );
  const remove = useAct(keys.cast, async () => {
    await ask(api.DELETE('/api/v1/cast/{id}', { params: { path: { id: c.id } } }));
    tell(`${c.name} was archived.`, { action: { label: 'Bring back', run: () => void restore() } });
  });
  return (
    <Button
      className="flex items-center justify-center gap-1.5"
      onClick={() => void remove().then(() => void go('/cast'))}
    >
      <Trash2 size={15} aria-hidden /> Archive
    </Button>
  );
}
