import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];

function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "";
}

export const api = createClient<paths>({ baseUrl: "/" });

api.use({
  onRequest({ request }) {
    if (request.method !== "GET") {
      request.headers.set("X-XSRF-TOKEN", decodeURIComponent(csrfToken()));
    }
    return request;
  },
});

/** A problem detail (RFC 9457) as this app sends them. */
export interface Problem {
  status: number;
  title: string;
  detail: string;
  field?: string;
  value?: string;
  allowed?: string;
  changes?: Schemas["EntryView"][];
  holds?: Schemas["HoldView"][];
  /** Everything that is wrong with a profile. */
  flaws?: Schemas["Flaw"][];
  /** Everything that is wrong with a price list. */
  mistakes?: Schemas["Mistake"][];
}

/** Thrown when the server answered, but not as wished; a network failure stays a TypeError. */
export class ProblemError extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.problem = problem;
  }

  /** The journal is out of reach for now; the same request may go through later. */
  get passing(): boolean {
    return [502, 503, 504].includes(this.problem.status);
  }
}

/** The data of an answer, or the problem thrown. */
export function unwrap<T>(answer: { data?: T; error?: unknown; response: Response }): T {
  if (answer.response.ok) {
    return answer.data as T;
  }
  const given = (typeof answer.error === "object" ? answer.error : {}) as Partial<Problem>;
  throw new ProblemError({
    ...given,
    status: answer.response.status,
    title: given.title ?? "The app did not understand itself",
    detail: given.detail ?? `It answered with status ${answer.response.status}.`,
  });
}
