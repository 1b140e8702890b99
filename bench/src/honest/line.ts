/** A figure with the threshold that it has to meet. */
export interface Line {
  readonly what: string;
  readonly figure: number;
  readonly least?: number;
  readonly most?: number;
}

/** True for a figure that meets its threshold. */
export const holds = ({ figure, least = -Infinity, most = Infinity }: Line): boolean =>
  figure >= least && figure <= most;

/** A line as it is printed. */
export function told(line: Line): string {
  const { what, figure, least, most } = line;
  const wanted = least !== undefined ? `at least ${least}` : `at most ${most}`;
  const shown = Number.isInteger(figure) ? String(figure) : figure.toFixed(3);
  return `${holds(line) ? 'holds ' : 'MISSED'}  ${what}: ${shown} (${wanted})`;
}
