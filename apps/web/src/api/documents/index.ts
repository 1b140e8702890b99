/** Documents that are edited on this page: what of each is edited, and how it reaches the server. */
export * from './mix';
export * from './openByName';
export { withEdits } from './port';
export * from './reference';
export * from './series';
export * from './sheets';
export * from './take';
