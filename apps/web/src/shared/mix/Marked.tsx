import { understand } from '@urbild/core';
import { HoverCard } from 'radix-ui';
import { useMemo, type ReactNode } from 'react';
import { useReferencesById } from '../../api/references';
import type { Take } from '../../api/client';
import { useCast } from '../../api/sheets';

interface MarkedProps {
  readonly prompt: string;
  /** Words that a finished picture of this prompt does not show, and why. */
  readonly notDrawn?: Take['notDrawn'];
}

const NOTHING: Take['notDrawn'] = [];

/**
 * A prompt with its words marked: strong what is understood, dotted what has a meaning that is not drawn, waved what nobody knows; names
 * of the cast are underlined and show their picture.
 */
export function Marked({ prompt, notDrawn = NOTHING }: MarkedProps) {
  const { data: cast } = useCast();
  const named = useMemo(
    () =>
      (cast ?? []).filter((c) =>
        new RegExp(`\\b${c.name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\b`, 'i').test(prompt),
      ),
    [cast, prompt],
  );
  const pictures = useReferencesById(named.flatMap((c) => c.items[0]?.referenceId ?? []));
  const parts = useMemo(() => {
    const characterOf = (text: string) => named.find((c) => c.name.toLowerCase() === text.toLowerCase());
    const { understood, unheard, unused } = understand(prompt, '', named);
    const undrawn = new Map([...unused, ...notDrawn].map((s) => [s.start, s.why]));
    const known = [...understood, ...unheard];
    const extra = named.flatMap((c) => {
      const start = prompt.toLowerCase().indexOf(c.name.toLowerCase());
      const end = start + c.name.length;
      const free = !known.some((k) => k.start < end && k.end > start);
      return free ? [{ start, end, text: prompt.slice(start, end), heard: true, means: c.name, why: undefined }] : [];
    });
    const spans = [
      ...extra,
      ...understood.map((s) => ({ ...s, heard: true, why: undrawn.get(s.start) })),
      ...unheard.map((s) => ({ ...s, heard: false, means: '', why: undefined })),
    ].sort((a, b) => a.start - b.start);
    const out: ReactNode[] = [];
    let at = 0;
    for (const s of spans) {
      out.push(prompt.slice(at, s.start));
      const character = characterOf(s.text);
      out.push(
        character ? (
          <CastName
            key={s.start}
            text={s.text}
            picture={pictures.get(character.items[0]?.referenceId ?? '')?.thumbnailUrl}
          />
        ) : s.why ? (
          <span
            key={s.start}
            className="underline decoration-dotted decoration-2 decoration-cinnabar underline-offset-3"
            title={`Not drawn: ${s.why}`}
          >
            {s.text}
          </span>
        ) : s.heard ? (
          <span key={s.start} className="font-semibold" title={s.means}>
            {s.text}
          </span>
        ) : (
          <span
            key={s.start}
            className="text-muted underline decoration-wavy decoration-cinnabar underline-offset-3"
            title="The painter does not know this word"
          >
            {s.text}
          </span>
        ),
      );
      at = s.end;
    }
    out.push(prompt.slice(at));
    return out;
  }, [prompt, notDrawn, named, pictures]);
  return <>{parts}</>;
}

/** A name of the cast in a prompt; the pointer shows who it is. */
function CastName({ text, picture }: { text: string; picture: string | undefined }) {
  return (
    <HoverCard.Root openDelay={150} closeDelay={60}>
      <HoverCard.Trigger asChild>
        <span className="font-semibold underline decoration-character decoration-2 underline-offset-3">{text}</span>
      </HoverCard.Trigger>
      {picture && (
        <HoverCard.Portal>
          <HoverCard.Content side="top" sideOffset={8} className="z-50 shadow-xl">
            <img src={picture} alt={text} className="h-44 w-auto" />
          </HoverCard.Content>
        </HoverCard.Portal>
      )}
    </HoverCard.Root>
  );
}
