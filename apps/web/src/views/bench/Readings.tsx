import type { ReactNode } from 'react';
import { arrivalText, CHANNELS } from '@urbild/core';
import type { MixWarning } from '@urbild/core';
import type { Take } from '../../api/client';
import { Button } from '../../parts/Button';
import { KindSign } from '../../parts/KindSign';
import { HUES, type Hue } from '../../theme/kinds';
import type { Lookup } from '../../shared/mix/lookup';
import { percent } from '../../shared/forms/figures';
import { ArrivalPictures, HowMeasured, WordPictures } from './HowMeasured';

/** Arrival of every influence, how much of the words is left, and what should be known before rendering. */
export function Readings({
  take,
  lookup,
  warnings,
  onFix,
}: {
  take: Take | undefined;
  lookup: Lookup;
  warnings: readonly MixWarning[];
  onFix: (warning: MixWarning) => void;
}) {
  const heard = take?.influences.filter((i) => i.on && i.weight > 0) ?? [];
  return (
    <section aria-label="Readings" className="flex flex-col gap-3">
      <h2 className="text-sm font-semibold text-muted">Arrival</h2>
      {take?.status === 'done' && heard.length > 0 ? (
        <>
          {heard.map((i) => {
            const arrival = take.arrivals.find((a) => a.influenceId === i.id);
            return (
              <Reading
                key={i.id}
                name={lookup.name(i)}
                hue={lookup.hue(i)}
                value={arrival?.overall}
                channels={arrival}
                pictures={<ArrivalPictures take={take} reference={lookup.source(i)?.thumbnailUrl} />}
              />
            );
          })}
          {take.wordsKept !== undefined && (
            <Reading
              name="Words kept"
              hue="words"
              value={take.wordsKept}
              parts={take.words.map(wordText)}
              pictures={<WordPictures take={take} />}
            />
          )}
        </>
      ) : (
        <p className="text-sm text-muted">
          {take
            ? 'A take with references shows here how far each of them came.'
            : 'Render a proof to see how far each reference comes.'}
        </p>
      )}
      {take?.status === 'done' && <NotDrawn words={take.notDrawn} />}
      {warnings.map((w) => (
        <div key={`${w.kind}${w.influences.join()}`} className="border-l-3 border-cinnabar bg-blush px-3 py-2">
          <p>{w.cause}</p>
          {w.fix && (
            <Button look="plain" onClick={() => onFix(w)}>
              {w.fix.label}
            </Button>
          )}
        </div>
      ))}
    </section>
  );
}

/** Words that the picture does not show, each with the reason. */
function NotDrawn({ words }: { words: Take['notDrawn'] }) {
  if (!words.length) return null;
  return (
    <div className="text-sm">
      <h3 className="font-semibold text-muted">Not drawn</h3>
      <dl className="mt-1 flex flex-col gap-1">
        {words.map(({ start, text, why }) => (
          <div key={`${start}${why}`}>
            <dt className="inline font-semibold">{text}: </dt>
            <dd className="inline text-muted">{why}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

interface ReadingProps {
  readonly name: string;
  readonly hue: Hue;
  readonly value: number | undefined;
  /** What it was measured from. */
  readonly pictures: ReactNode;
  /** What the number is made of, in words. */
  readonly parts?: readonly string[];
  readonly channels?: Take['arrivals'][number];
}

/** What speaks for it that somebody is who they should be, and what against. */
function Evidence({ of: { same, unlike } }: { of: Take['arrivals'][number] }) {
  if (!same.length && !unlike.length) return null;
  return (
    <div className="mt-0.5 text-xs text-muted">
      {!!same.length && <p>as known: {same.join(', ')}</p>}
      {!!unlike.length && <p className="text-ink">not as known: {unlike.join(', ')}</p>}
    </div>
  );
}

const wordText = ({ text, found }: Take['words'][number]): string => `${text} ${percent(found)}`;

function Reading({ name, hue, value, channels, pictures, parts: told = [] }: ReadingProps) {
  const measured = CHANNELS.flatMap((c) => {
    if (channels?.[c] === undefined) return [];
    const part = channels.judged.find((j) => j.channel === c)?.part;
    return [`${c} ${arrivalText(channels[c])}${part === undefined ? '' : ` (on ${percent(part)} of the picture)`}`];
  });
  const parts = [...measured, ...told];
  const text = hue === 'words' ? percent(value ?? 0) : arrivalText(value);
  return (
    <div
      data-testid="reading"
      data-name={name}
      data-value={value ?? ''}
      title={[...parts, ...(channels?.untold ?? []).map(({ channel, why }) => `${channel}: ${why}`)].join(', ')}
    >
      <div className="flex items-center gap-2">
        <KindSign kind={hue} />
        <span className="flex-1 truncate">{name}</span>
        <HowMeasured name={name} of={pictures}>
          {text}
        </HowMeasured>
      </div>
      <div className="mt-1 h-1.5 rounded bg-shade">
        <div
          className="h-1.5 rounded transition-[width]"
          style={{ width: `${Math.max(0, value ?? 0) * 100}%`, background: HUES[hue] }}
        />
      </div>
      {(parts.length > 1 || !!channels?.judged.length) && (
        <div className="figures mt-0.5 text-xs text-muted">{parts.join(' · ')}</div>
      )}
      {channels && <Evidence of={channels} />}
      {value === undefined &&
        channels?.untold.map(({ channel, why }) => (
          <p key={channel} className="mt-0.5 text-xs text-muted">
            {channel} cannot be told here. {why}
          </p>
        ))}
    </div>
  );
}
