import { useSyncExternalStore } from 'react';

/** The light of the room: a booth by day, the same in the dark, and paper white around pictures as they will be printed. */
export const LIGHTS = [
  { light: 'day', name: 'Day booth', hint: 'neutral grey around pictures, paper around controls' },
  { light: 'dark', name: 'Dark booth', hint: 'everything dark, for the night' },
  { light: 'print', name: 'Printing light', hint: 'paper white around pictures, as a page will stand in the hand' },
] as const;
export type Light = (typeof LIGHTS)[number]['light'];

const KEY = 'urbild.light';
const isLight = (value: string | null): value is Light => LIGHTS.some(({ light }) => light === value);

/** The light that was chosen in this browser; by day where none was, or where nothing can be kept. */
function keptLight(): Light {
  try {
    const kept = localStorage.getItem(KEY);
    return isLight(kept) ? kept : 'day';
  } catch {
    return 'day';
  }
}

const watchers = new Set<() => void>();

/** The light that is on. */
export const lightNow = (): Light => {
  const on = document.documentElement.dataset.light ?? null;
  return isLight(on) ? on : 'day';
};

function show(light: Light): void {
  document.documentElement.dataset.light = light;
  for (const watch of watchers) watch();
}

/** Switches the light that was chosen on, and follows the other windows of this browser. Before anything is drawn. */
export function startLight(): void {
  show(keptLight());
  window.addEventListener('storage', ({ key }) => {
    if (key === KEY) show(keptLight());
  });
}

/** Changes the light, here and in the other windows of this browser. */
export function setLight(light: Light): void {
  try {
    localStorage.setItem(KEY, light);
  } catch {
    // it holds as long as this window is open
  }
  show(light);
}

function watchLight(changed: () => void): () => void {
  watchers.add(changed);
  return () => watchers.delete(changed);
}

/** The light that is on; renders again when it changes. */
export const useLight = (): Light => useSyncExternalStore(watchLight, lightNow);
