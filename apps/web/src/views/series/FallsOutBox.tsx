import { arrivalText } from '@urbild/core';
import { useEffect, useEffectEvent } from 'react';
import type { FallsOut, Shot } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import { Button } from '../../parts/Button';
import { tries } from './shots';

/** An arrival whose figure and sign stay on one line. */
const told = (arrival: number) => arrivalText(arrival).replace(' ', '\u00a0');

const WHAT = { identity: 'identity', look: 'the look', arrival: 'arrival' } as const;

/** Says that a shot falls out, by how much, why, and what brings it back: remedies are offered once they were tried and help. */
export function FallsOutBox({ fall, shot, acts }: { fall: FallsOut; shot: Shot; acts: SeriesActs }) {
  const tried = new Set(tries(shot).map((t) => t.trial?.label));
  const of = (...states: FallsOut['remedies'][number]['state'][]) =>
    fall.remedies.filter((r) => states.includes(r.state));
  const [helping, failed, open] = [of('helps'), of('fails'), of('untried', 'trying')];
  const untried = fall.remedies.some((r) => r.state === 'untried');
  const tryOut = useEffectEvent(() => void acts.tryOut(shot));
  // once for each take that falls out
  useEffect(() => {
    if (untried) tryOut();
  }, [fall.takeId, untried]);
  const named = failed.map((r) => `“${r.label}”`).join(' and ');
  return (
    <section aria-label="Falls out" className="border-l-3 border-cinnabar bg-blush px-3 py-2.5">
      <p>
        <strong className="text-signal">
          Falls out: {WHAT[fall.aspect]} of {fall.name}
          {fall.arrival === undefined ? '' : ` ${told(fall.arrival)}`}.
        </strong>{' '}
        {fall.others && `The others lie between ${told(fall.others.low)} and ${told(fall.others.high)}. `}
        {fall.sentence}
      </p>
      {helping.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          {helping.map((remedy, k) => (
            <Button
              key={remedy.label}
              look={k ? 'quiet' : 'main'}
              disabled={tried.has(remedy.label)}
              onClick={() => void acts.tryRemedy(shot, { label: remedy.label, plan: remedy.plan })}
            >
              {remedy.label}
            </Button>
          ))}
        </div>
      )}
      <p role="status" className="mt-1.5 text-sm text-muted empty:hidden">
        {open.length > 0
          ? 'Trying what may bring it back ...'
          : failed.length > 0 &&
            (helping.length > 0 ? `${named} was tried and does not help.` : `${named} did not bring it back.`)}
      </p>
    </section>
  );
}
