/** Sends a text as it is, not as a JSON string. */
export const asText = {
  bodySerializer: (body: unknown) => body as BodyInit,
  headers: { "Content-Type": "text/plain" },
};
