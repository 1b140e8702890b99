import { arrivalText } from '@urbild/core';
import type { FallsOut, Shot } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import { Button } from '../../parts/Button';
import { tries } from './shots';

const WHAT = { identity: 'identity', look: 'the look', arrival: 'arrival' } as const;

/** Says that a shot falls out, by how much, why, and what may bring it back. */
export function FallsOutBox({ fall, shot, acts }: { fall: FallsOut; shot: Shot; acts: SeriesActs }) {
  const tried = new Set(tries(shot).map((t) => t.trial?.label));
  return (
    <section aria-label="Falls out" className="border-l-3 border-cinnabar bg-blush px-3 py-2.5">
      <p>
        <strong className="text-cinnabar">
          Falls out: {WHAT[fall.aspect]} of {fall.name}
          {fall.arrival === undefined ? '' : ` ${arrivalText(fall.arrival)}`}.
        </strong>{' '}
        {fall.others && `The others lie between ${arrivalText(fall.others.low)} and ${arrivalText(fall.others.high)}. `}
        {fall.sentence}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {fall.remedies.map((remedy, k) => (
          <Button
            key={remedy.label}
            look={k ? 'quiet' : 'main'}
            disabled={tried.has(remedy.label)}
            onClick={() => void acts.tryRemedy(shot, remedy)}
          >
            {remedy.label}
          </Button>
        ))}
      </div>
    </section>
  );
}
