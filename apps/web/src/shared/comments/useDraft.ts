import { useState } from 'react';

const nameOf = (key: string) => `urbild-comment-${key}`;

/** A text that is not sent yet: a closed window does not lose it. An empty one is forgotten. */
export function useDraft(key: string, usual = ''): [string, (text: string) => void] {
  const [text, setText] = useState(() => localStorage.getItem(nameOf(key)) ?? usual);
  const keep = (next: string) => {
    setText(next);
    if (next && next !== usual) localStorage.setItem(nameOf(key), next);
    else localStorage.removeItem(nameOf(key));
  };
  return [text, keep];
}
