/** A start that cannot be done; the message says why, what is safe, and what to do. */
export class StartError extends Error {}
