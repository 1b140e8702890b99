/** What any generator has to do: the request that it gets, what it gives back, and how it tells of its progress. */
export * from './engine';
export * from './request';
export * from './result';
export { readRequest, RequestError } from './readRequest';
export { REQUEST_SCHEMA } from './schema';
