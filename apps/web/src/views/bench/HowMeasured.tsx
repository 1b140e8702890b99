import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import type { Take } from '../../api/client';
import { percent } from '../../shared/forms/figures';

/** A number that opens what it was measured from, as pictures. */
export function HowMeasured({ name, children, of }: { name: string; children: ReactNode; of: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${name}: what was compared`}
        className="figures -my-1 min-h-6 min-w-6 rounded px-1 font-semibold underline decoration-dotted underline-offset-3 hover:bg-shade"
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          collisionPadding={12}
          aria-label={`${name}: what was compared`}
          className="z-50 max-h-[70vh] w-96 overflow-y-auto rounded-md border border-line bg-card p-3 shadow-xl"
        >
          {of}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A picture with what it is; a grey plate where it is not there any more. */
function Plate({ url, is }: { url: string | undefined; is: string }) {
  return (
    <figure className="min-w-0 flex-1">
      {url ? (
        <img src={url} alt={is} className="aspect-3/2 w-full rounded-sm bg-shade object-contain" />
      ) : (
        <div className="aspect-3/2 w-full rounded-sm bg-shade" />
      )}
      <figcaption className="mt-1 text-xs text-muted">{is}</figcaption>
    </figure>
  );
}

/** The three pictures that an arrival was measured from. */
export function ArrivalPictures({ take, reference }: { take: Take; reference: string | undefined }) {
  return (
    <>
      <div className="flex gap-2">
        <Plate url={take.control?.thumbnailUrl} is="without references" />
        <Plate url={take.thumbnailUrl} is="this picture" />
        <Plate url={reference} is="the reference" />
      </div>
      <p className="mt-2 text-sm">
        How far this picture has gone from the one on the left to the one on the right. A copy would be 100 %; what
        pictures score that have nothing to do with it is “no”.
      </p>
    </>
  );
}

/** Part of a picture, as large as its frame allows. */
function Cut({ take, url, box, alt }: { take: Take; url: string | undefined; box: readonly number[]; alt: string }) {
  const [left, top, right, bottom] = box;
  const [w, h] = [Math.max(0.02, right - left), Math.max(0.02, bottom - top)];
  return (
    <span
      role="img"
      aria-label={alt}
      className="block h-20 max-w-28 shrink-0 rounded-sm bg-shade bg-no-repeat"
      style={{
        aspectRatio: `${w * take.width} / ${h * take.height}`,
        ...(url && {
          backgroundImage: `url(${url})`,
          backgroundSize: `${100 / w}% ${100 / h}%`,
          backgroundPosition: `${w < 1 ? (100 * left) / (1 - w) : 0}% ${h < 1 ? (100 * top) / (1 - h) : 0}%`,
        }),
      }}
    />
  );
}

/** Where everybody and everything of the words stands: without references, and in this picture. */
export function WordPictures({ take }: { take: Take }) {
  return (
    <>
      <ul className="flex flex-col gap-2">
        {take.words.map(({ start, text, found, box }) => (
          <li key={`${start}${text}`} className="flex items-center gap-2">
            {box && (
              <>
                <Cut
                  take={take}
                  url={take.control?.pictureUrl ?? take.pictureUrl}
                  box={box}
                  alt={`${text}, without references`}
                />
                <Cut take={take} url={take.pictureUrl} box={box} alt={`${text}, in this picture`} />
              </>
            )}
            <span className="min-w-0 flex-1">{text}</span>
            <span className="figures font-semibold">{percent(found)}</span>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm">
        How well each can still be found where it stands: on the left as the prompt alone draws it, which is 100 %. Of a
        colour, how far it can still be called so; colours are not part of the mean.
      </p>
    </>
  );
}
