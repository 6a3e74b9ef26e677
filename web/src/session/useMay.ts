import { type Me, useSession } from "./useSession";

/** Whether the person signed in may do something, by what the server says of their role. */
export function useMay(what: Me["may"][number]): boolean {
  return useSession().data?.me?.may.includes(what) ?? false;
}
