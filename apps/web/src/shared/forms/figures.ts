/** A number in some digits behind the point. */
export const round = (x: number, digits = 2): number => Math.round(x * 10 ** digits) / 10 ** digits;
/** A part 0..1 as a percentage. */
export const percent = (x: number): string => `${Math.round(x * 100)} %`;
