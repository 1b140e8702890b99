import { arrivalText } from '@urbild/core';
import type { MixInfluence, Take } from '../../api/client';
import { KindSign } from '../../parts/KindSign';
import type { Lookup } from '../../shared/mix/lookup';
import { percent } from '../../shared/forms/figures';
import { saidOf } from '../../shared/mix/saidOf';

/** Everything that made it. */
export function MadeOf({ take, lookup }: { take: Take; lookup: Lookup }) {
  const { settings } = take;
  return (
    <section aria-label="What made it" className="flex flex-col gap-1.5">
      <h2 className="text-sm font-semibold text-muted">What made it</h2>
      <ul className="flex flex-col gap-1">
        {take.influences.map((i) => (
          <Influence key={i.id} influence={i} take={take} lookup={lookup} />
        ))}
      </ul>
      <p className="text-sm text-muted">
        {[
          `balance ${settings.balance}`,
          `spread ${settings.spread ?? 1}`,
          ...saidOf(settings),
          ...(settings.medium ? [`drawn as ${settings.medium}`] : []),
          take.avoid && `without ${take.avoid}`,
          settings.start && `started from a ${settings.start.of}, changed ${percent(settings.start.change)}`,
          settings.mask && 'under a mask',
          take.wordsKept !== undefined && `words kept ${percent(take.wordsKept)}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
    </section>
  );
}

function Influence({ influence: i, take, lookup }: { influence: MixInfluence; take: Take; lookup: Lookup }) {
  const arrival = take.arrivals.find((a) => a.influenceId === i.id)?.overall;
  const picture = lookup.source(i)?.thumbnailUrl;
  const acts = i.on && i.weight > 0;
  return (
    <li className={`flex items-center gap-2 ${acts ? '' : 'text-muted'}`}>
      {picture ? (
        <img src={picture} alt="" className={`size-9 rounded-sm object-cover ${acts ? '' : 'opacity-50'}`} />
      ) : (
        <span className="size-9 bg-shade" />
      )}
      <span className="min-w-0 flex-1 leading-tight">
        <span className="block truncate font-semibold">{lookup.name(i)}</span>
        <span className="flex items-center gap-1 text-sm text-muted">
          <KindSign kind={lookup.hue(i)} size={12} />
          <span>
            {i.gives},{' '}
            <span className="whitespace-nowrap">
              {percent(i.from)} to {percent(i.to)}
            </span>
            {i.region ? ', in a region' : ''}
          </span>
        </span>
      </span>
      <span className="figures text-right leading-tight">
        <span className="block font-semibold">{i.weight.toFixed(2)}</span>
        <span className="text-sm text-muted">{arrival === undefined ? '' : arrivedText(arrival)}</span>
      </span>
    </li>
  );
}

/** Arrival, as a clause. */
const arrivedText = (arrival: number): string =>
  arrivalText(arrival) === 'no' ? 'did not arrive' : `${arrivalText(arrival)} arrived`;
