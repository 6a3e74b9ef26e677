import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { Field } from "@/ui/Field";

const day = new Intl.DateTimeFormat(undefined, { dateStyle: "medium" });

/** A job that was handed over, found by whose it was and what: nobody knows its number by heart. */
export function FindJob({
  id,
  label,
  chosen,
  onChoose,
}: {
  id: string;
  label: string;
  chosen: string;
  onChoose: (number: string) => void;
}) {
  const [query, setQuery] = useState("");
  const { data } = useQuery({
    queryKey: keys.found(query, true),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs", { params: { query: { query, handedOver: true } } })),
  });
  return (
    <div>
      <Field
        id={id}
        label={`${label}: owner, device or number`}
        autoComplete="off"
        value={query}
        onChange={(e) => {
          setQuery(e.target.value);
          onChoose(/^\d+$/.test(e.target.value.trim()) ? e.target.value.trim() : "");
        }}
      />
      <ul className="mt-2 max-h-56 overflow-auto" aria-label="Jobs that were handed over">
        {data?.length === 0 && <li className="text-quiet">none of that was handed over</li>}
        {data?.map((job) => (
          <li key={job.id}>
            <button
              type="button"
              aria-pressed={chosen === String(job.number)}
              className={clsx(
                "grid min-h-11 w-full grid-cols-[3rem_1fr_auto] items-center gap-3 px-2 text-left",
                chosen === String(job.number) ? "bg-ink text-sheet" : "hover:bg-sheet",
              )}
              onClick={() => onChoose(String(job.number))}
            >
              <b className="digits">{job.number}</b>
              <span className="truncate">
                {job.owner}, {job.device}: {job.fault}
              </span>
              <span>{job.handedOverAt && day.format(new Date(job.handedOverAt))}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
