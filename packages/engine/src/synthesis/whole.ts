/** True for a share, 0..1, that leaves nothing to be seen of anything else: what lies under it need not be made. */
export const isWhole = (share: number): boolean => share >= 0.999;
