/** Names of what the server knows, for the one cache that holds it. */
export const keys = {
  session: ["session"] as const,
  bench: ["bench"] as const,
  people: ["people"] as const,
  shop: ["shop"] as const,
  heatSources: ["heat-sources"] as const,
  instruments: ["instruments"] as const,
  programmers: ["programmers"] as const,
  usual: ["book-usual"] as const,
  devices: (query: string) => ["devices", query] as const,
  book: (query: string) => ["book", query] as const,
  device: (id: string) => ["book", "device", id] as const,
  found: (query: string, handedOver: boolean) => ["bench", "found", query, handedOver] as const,
  returns: ["stock", "returns"] as const,
  stock: (query: string) => ["stock", query] as const,
  job: (jobId: string) => ["job", jobId] as const,
  station: (jobId: string, name: string, ...more: unknown[]) => ["job", jobId, name, ...more] as const,
};
