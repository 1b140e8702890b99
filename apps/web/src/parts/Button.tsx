import type { ButtonHTMLAttributes } from 'react';

type Look = 'main' | 'quiet' | 'plain';

const LOOKS: Readonly<Record<Look, string>> = {
  main: 'bg-cinnabar text-white hover:brightness-110 disabled:bg-edge',
  quiet: 'border border-line bg-card text-ink hover:border-edge disabled:text-muted',
  plain: 'text-ink underline decoration-edge underline-offset-2 hover:decoration-ink',
};

/** A button: `main` is the one main action of a screen, `quiet` any other, `plain` a fix inside a text. */
export function Button({
  look = 'quiet',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  const shape = look === 'plain' ? '' : 'rounded-lg px-3 py-1.5 font-semibold';
  return (
    <button type="button" className={`${shape} ${LOOKS[look]} disabled:cursor-not-allowed ${className}`} {...rest} />
  );
}
