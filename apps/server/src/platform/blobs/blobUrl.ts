/** The address under which a blob is served. */
export const blobUrl = (hash: string): string => `/api/v1/blobs/${hash}`;
