import createClient, { type Client } from 'openapi-fetch';
import type { components, paths } from './schema.generated';

/** The shapes that the server speaks, by their names in the OpenAPI document. */
export type Schemas = components['schemas'];
export type Api = Client<paths>;

/** A typed client; `baseUrl` is where the server answers, the page's own address when empty. */
export const createApi = (baseUrl = ''): Api => createClient<paths>({ baseUrl });
