/** True when keys go into a text field. */
export const inField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && !!target.closest('input:not([type=range]), textarea, select, [contenteditable]');
