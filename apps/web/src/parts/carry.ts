/** Something of the studio that is dragged from one window to another. */
export interface Carried {
  readonly of: 'reference' | 'look' | 'character';
  readonly id: string;
}

const TYPE = 'application/x-urbild-source+json';

/** The part of a drag event that carries. */
interface Carrier {
  readonly dataTransfer: Pick<DataTransfer, 'setData' | 'getData' | 'types'>;
}

/** Makes a picture draggable to other windows: spread into an element. */
export const carry = (carried: Carried) => ({
  draggable: true,
  onDragStart: (e: Carrier) => e.dataTransfer.setData(TYPE, JSON.stringify(carried)),
});

/** True while something of the studio is dragged over. */
export const isCarrying = (e: Carrier): boolean => [...e.dataTransfer.types].includes(TYPE);

/** What was dropped; undefined for anything that this studio's windows did not send. */
export function carriedIn(e: Carrier): Carried | undefined {
  try {
    const { of, id } = JSON.parse(e.dataTransfer.getData(TYPE)) as Partial<Carried>;
    const known = of === 'reference' || of === 'look' || of === 'character';
    return known && typeof id === 'string' && /^[\w-]{1,64}$/.test(id) ? { of, id } : undefined;
  } catch {
    return undefined;
  }
}
