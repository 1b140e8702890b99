import { mentionsIn } from '@urbild/core';
import { Fragment } from 'react';
import type { Person } from '../../api/people';

/** What somebody said, with the people whom it names in their colours. */
export function CommentText({ text, people }: { text: string; people: readonly Person[] }) {
  const mentions = mentionsIn(text, people);
  return (
    <p className="break-words whitespace-pre-wrap">
      {mentions.map(({ person, from, to }, k) => (
        <Fragment key={from}>
          {text.slice(mentions[k - 1]?.to ?? 0, from)}
          <strong
            className="font-semibold underline decoration-2 underline-offset-2"
            style={{ textDecorationColor: `oklch(0.6 0.13 ${people.find((p) => p.id === person)!.hue})` }}
          >
            {text.slice(from, to)}
          </strong>
        </Fragment>
      ))}
      {text.slice(mentions.at(-1)?.to ?? 0)}
    </p>
  );
}
