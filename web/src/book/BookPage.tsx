import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, type Schemas, unwrap } from "@/api/client";
import { asText } from "@/api/files";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useMay } from "@/session/useMay";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { FilePick } from "@/ui/FilePick";
import { ProblemNote } from "@/ui/ProblemNote";
import { NewDevice } from "./NewDevice";

/** All devices the shop can describe. */
export function BookPage() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const mayDraw = useMay("DRAW_DEVICES");
  const [query, setQuery] = useState("");
  const [adding, setAdding] = useState(false);
  const devices = useQuery({
    queryKey: keys.book(query),
    queryFn: async () => unwrap(await api.GET("/api/book", { params: { query: { query } } })),
    placeholderData: keepPreviousData,
  });
  const { problem, submit } = useSubmit(async (file: File) => {
    const drafted = unwrap(await api.POST("/api/book-import", { body: await file.text(), ...asText }));
    client.removeQueries({ queryKey: keys.device(drafted.id) });
    await navigate(`/book/${drafted.id}`);
  });
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <div className="mb-4 flex items-end gap-4">
        <h1 className="text-3xl font-bold">The device book</h1>
        <div className="flex-1">
          <Field
            id="book-search"
            label="Find by any words"
            autoComplete="off"
            value={query}
            onChange={(e) => setQuery(e.target.value)}
          />
        </div>
        {mayDraw && (
          <>
            <FilePick id="profile-file" accept=".json,application/json" onFile={(file) => void submit(file)}>
              Profile from file
            </FilePick>
            <Button look="lamp" className="min-h-12 px-6 text-lg" onClick={() => setAdding(true)}>
              Describe a device
            </Button>
          </>
        )}
      </div>
      {problem && <ProblemNote problem={problem} />}
      <ul className="mt-2 divide-y-2 divide-line border-y-2 border-line">
        {devices.data?.map((device) => (
          <li key={device.id}>
            <Link
              to={`/book/${device.id}`}
              className="flex min-h-14 items-center gap-4 px-2 py-2 leading-snug hover:bg-sheet"
            >
              <span className="min-w-0 flex-1">
                <b className="text-lg">{device.name}</b>
                <span className="block text-quiet">{device.words}</span>
              </span>
              <span className="text-right">{standing(device)}</span>
            </Link>
          </li>
        ))}
      </ul>
      {devices.data?.length === 0 && <p className="mt-4 text-xl">The book has nothing like that yet.</p>}
      <NewDevice open={adding} onClose={() => setAdding(false)} />
    </main>
  );
}

function standing(device: Schemas["Listed"]): string {
  return [
    device.withdrawn
      ? "withdrawn"
      : device.releasedVersion === null
        ? "not released yet"
        : `version ${device.releasedVersion}`,
    device.drafted && device.releasedVersion !== null ? "draft open" : "",
    device.corrections > 0 ? `${device.corrections} proposed corrections` : "",
    device.generic ? "class profile" : "",
  ]
    .filter((words) => words !== "")
    .join(", ");
}
