/** Which project one works in, and where one was last in each: kept for this browser. */
const CHOSEN = 'urbild.project';
const placeName = (id: string): string => `urbild.project.${id}.place`;
const listeners = new Set<() => void>();

/** Calls a listener whenever another project is chosen; returns what ends it. */
export function hearChoice(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Id of the project that was chosen; undefined where none was. */
export const chosenProject = (): string | undefined => localStorage.getItem(CHOSEN) ?? undefined;

/** Goes over to a project: what is listed from now on is its own. */
export function chooseProject(id: string): void {
  if (chosenProject() === id) return;
  localStorage.setItem(CHOSEN, id);
  listeners.forEach((listener) => listener());
}

/** Where one was last in a project; the bench when absent. */
export const placeIn = (id: string): string => localStorage.getItem(placeName(id)) ?? '/bench';

export const rememberPlace = (id: string, place: string): void => localStorage.setItem(placeName(id), place);
