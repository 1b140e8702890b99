/** The keys under which answers are kept. */
export const keys = {
  studio: ['studio'] as const,
  search: (query: string) => ['search', query] as const,
  reference: (id: string) => ['reference', id] as const,
  imports: ['imports'] as const,
  shelf: ['shelf'] as const,
  looks: ['looks'] as const,
  lookReading: (id: string, version: number) => ['looks', id, 'reading', version] as const,
  cast: ['cast'] as const,
  castReading: (id: string, version: number) => ['cast', id, 'reading', version] as const,
  mixes: ['mixes'] as const,
  mix: (id: string) => ['mixes', id] as const,
  takes: (mixId: string) => ['takes', mixId] as const,
  madeWith: (id: string) => ['takes', 'made-with', id] as const,
  take: (id: string) => ['takes', 'one', id] as const,
  keepers: ['takes', 'keepers'] as const,
  series: ['series'] as const,
};
