/** Less than this has not arrived: it is within what a picture differs by without any reference. */
export const LEAST_ARRIVAL = 0.03;

/** An arrival, 0..1, as people read it: a percentage, "no" where nothing is to be seen of it, "not measured" where it cannot be told. */
export function arrivalText(arrival: number | undefined | null): string {
  if (arrival === undefined || arrival === null) return 'not measured';
  return arrival < LEAST_ARRIVAL ? 'no' : `${Math.round(arrival * 100)} %`;
}
