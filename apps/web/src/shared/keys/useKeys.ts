import { useEffect, useEffectEvent } from 'react';
import { inField } from './inField';

/** A key as it was pressed: letters in lower case, `mod` for Ctrl or the command key. */
export interface Pressed {
  readonly key: string;
  readonly mod: boolean;
  readonly shift: boolean;
  readonly alt: boolean;
  readonly target: EventTarget | null;
}

const pressed = (e: KeyboardEvent): Pressed => ({
  key: e.key.length === 1 ? e.key.toLowerCase() : e.key,
  mod: e.ctrlKey || e.metaKey,
  shift: e.shiftKey,
  alt: e.altKey,
  target: e.target,
});

/** True where keys belong to what lies over the view: a dialog, a menu. */
const over = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && !!target.closest('[role=dialog], [role=alertdialog], [role=menu]');

/** True where a slider has the focus, which has a use for arrows itself. */
const slides = (e: KeyboardEvent): boolean =>
  e.key.startsWith('Arrow') && e.target instanceof HTMLElement && !!e.target.closest('[role=slider]');

/**
 * The keys of a view. `act` does what a key stands for, and answers true where it stands for something: then nobody else gets it.
 * In fields, dialogs and menus keys belong to those, and arrows to a slider, except with `everywhere`.
 */
export function useKeys(act: (key: Pressed) => boolean, { everywhere = false }: { everywhere?: boolean } = {}): void {
  const onKey = useEffectEvent((e: KeyboardEvent) => {
    if (!everywhere && (inField(e.target) || over(e.target) || slides(e))) return;
    if (act(pressed(e))) e.preventDefault();
  });
  useEffect(() => {
    const listen = (e: KeyboardEvent) => onKey(e);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

/** True while a letter is held down, outside of fields. */
export function useHeld(letter: string, onChange: (held: boolean) => void): void {
  const changed = useEffectEvent(onChange);
  useEffect(() => {
    const on = (held: boolean) => (e: KeyboardEvent) => {
      const { key, mod } = pressed(e);
      if (key === letter && !mod && !inField(e.target)) changed(held);
    };
    const [down, up] = [on(true), on(false)];
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
    };
  }, [letter]);
}
