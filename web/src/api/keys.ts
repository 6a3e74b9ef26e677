/** Names of what the server knows, for the one cache that holds it. */
export const keys = {
  session: ["session"] as const,
  bench: ["bench"] as const,
  job: (jobId: string) => ["job", jobId] as const,
  station: (jobId: string, name: string, ...more: unknown[]) => ["job", jobId, name, ...more] as const,
};
