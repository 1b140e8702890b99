import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useReferencesById } from '../../api/references';
import { useCast, type Character } from '../../api/sheets';
import { carry } from '../../parts/carry';
import { Button } from '../../parts/Button';
import { DemoComing } from '../../parts/DemoComing';
import { EmptyState } from '../../parts/EmptyState';
import { useUndoKeys } from '../../shared/keys/useUndoKeys';
import { CharacterSheet } from './CharacterSheet';
import { NewCharacter } from './NewCharacter';
import { useTitle } from '../../parts/useTitle';
import { OneStop } from '../../shared/keys/OneStop';

/** The cast on the left, the model sheet of one character on the right. */
export function CastView() {
  const { characterId } = useParams();
  useUndoKeys();
  const go = useNavigate();
  const { data: cast, isPending } = useCast();
  const [making, setMaking] = useState(false);
  const character = cast?.find((c) => c.id === characterId) ?? cast?.[0];
  useTitle('Cast', character?.name);
  if (isPending) return <div className="skeleton h-full" aria-label="The cast is being opened" />;
  const dialog = (
    <NewCharacter
      open={making}
      onClose={() => setMaking(false)}
      onMade={(c) => {
        setMaking(false);
        void go(`/cast/${c.id}`);
      }}
    />
  );
  if (!character)
    return (
      <>
        <EmptyState
          whole
          title="No characters yet"
          action={
            <Button look="main" onClick={() => setMaking(true)}>
              Make a character
            </Button>
          }
        >
          A character is somebody who comes back from picture to picture: made of one picture, of several, or of a
          description.
          <DemoComing what="The characters" />
        </EmptyState>
        {dialog}
      </>
    );
  return (
    <div className="parts grid h-full grid-cols-[188px_minmax(0,1fr)]">
      <h1 className="sr-only">Cast: {character.name}</h1>
      <aside aria-label="Cast" className="flex min-h-0 flex-col gap-2 overflow-auto border-r border-line bg-paper p-3">
        <Button className="flex items-center justify-center gap-1.5" onClick={() => setMaking(true)}>
          <Plus size={16} aria-hidden /> New character
        </Button>
        <OneStop role="list" className="flex flex-col gap-2">
          {cast!.map((c) => (
            <Card key={c.id} character={c} chosen={c.id === character.id} onOpen={() => void go(`/cast/${c.id}`)} />
          ))}
        </OneStop>
      </aside>
      <CharacterSheet key={character.id} character={character} />
      {dialog}
    </div>
  );
}

function Card({ character: c, chosen, onOpen }: { character: Character; chosen: boolean; onOpen: () => void }) {
  const first = c.items[0]?.referenceId;
  const picture = useReferencesById(first ? [first] : []).get(first ?? '');
  return (
    <li>
      <button
        {...carry({ of: 'character', id: c.id })}
        type="button"
        aria-current={chosen ? 'true' : undefined}
        onClick={onOpen}
        className={`flex w-full items-center gap-2 rounded-lg border p-1.5 text-left ${chosen ? 'border-ink bg-card' : 'border-line hover:border-edge'}`}
      >
        {picture ? (
          <img src={picture.thumbnailUrl} alt="" className="size-14 rounded-sm object-cover object-top" />
        ) : (
          <span className="size-14 rounded-sm bg-shade" />
        )}
        <span className="min-w-0 flex-1">
          <span className="block truncate font-title text-lg font-semibold">{c.name}</span>
          <span className="text-sm text-muted">
            {c.items.length} {c.items.length === 1 ? 'picture' : 'pictures'}
          </span>
        </span>
      </button>
    </li>
  );
}
