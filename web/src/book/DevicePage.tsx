import { useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { Redo2, Undo2 } from "lucide-react";
import { useEffect, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api, ProblemError, type Schemas, unwrap } from "@/api/client";
import { asText } from "@/api/files";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useMay } from "@/session/useMay";
import { Button } from "@/ui/Button";
import { FilePick } from "@/ui/FilePick";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";
import { BodySection } from "./BodySection";
import type { Flaw } from "./document";
import { EdgeEditor } from "./EdgeEditor";
import { InsideMap } from "./InsideMap";
import { ScrewFile } from "./ScrewFile";
import { ListEditor } from "./ListEditor";
import { type ListName, LISTS } from "./lists";
import { FateLists, JointLists, VariantLists, WidthLists } from "./NestedLists";
import { Gaps, Orders } from "./Orders";
import { useDraft } from "./useDraft";
import { ScrollRegion } from "@/ui/ScrollRegion";

type Detail = Schemas["DeviceDetail"];

const SECTIONS: { id: string; words: string; lists: ListName[]; paths: string[] }[] = [
  { id: "edge", words: "Edge", lists: [], paths: ["features", "outline", "edgeNames"] },
  {
    id: "body",
    words: "Outline and body",
    lists: [],
    paths: [
      "id",
      "name",
      "words",
      "front",
      "body",
      "limits",
      "border",
      "ledge",
      "openingRadiusMm",
      "seat",
      "seals",
      "opticalBonds",
      "outline",
      "edgeNames",
    ],
  },
  { id: "functions", words: "Functions", lists: ["functions"], paths: ["functions"] },
  {
    id: "inside",
    words: "Inside",
    lists: ["inside", "connectors", "screws"],
    paths: ["inside", "connectors", "screws"],
  },
  {
    id: "carry",
    words: "Carry over",
    lists: ["carryOvers", "pairedParts", "covers"],
    paths: ["carryOvers", "pairedParts", "covers"],
  },
  { id: "repairs", words: "Repairs", lists: ["repairs"], paths: ["repairs"] },
  { id: "variants", words: "Variants", lists: ["variants"], paths: ["variants"] },
];

export function DevicePage() {
  const { deviceId = "" } = useParams();
  const device = useQuery({
    queryKey: keys.device(deviceId),
    queryFn: async () => unwrap(await api.GET("/api/book/{deviceId}", { params: { path: { deviceId } } })),
    // What is being drawn is not swapped for what someone else stored meanwhile.
    refetchOnWindowFocus: false,
    staleTime: Infinity,
  });
  if (device.error instanceof ProblemError && !device.error.passing) {
    return (
      <main className="p-8">
        <ProblemNote problem={device.error.problem} />
      </main>
    );
  }
  return device.data ? (
    <DeviceEditor key={`${deviceId}/${device.data.version}/${device.data.draft}`} detail={device.data} />
  ) : (
    <main className="p-8 text-xl">…</main>
  );
}

function DeviceEditor({ detail }: { detail: Detail }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const mayDraw = useMay("DRAW_DEVICES");
  const mayRelease = useMay("RELEASE_DEVICES");
  const draft = useDraft(detail.document);
  const [section, setSection] = useState("edge");
  const [leaving, setLeaving] = useState(false);
  const [stored, setStored] = useState(detail.document);
  const { document, change, undo, redo, flaws } = draft;
  const id = detail.device.id;
  const reload = () => client.invalidateQueries({ queryKey: ["book"], exact: false });

  const save = useSubmit(async () => {
    unwrap(
      await api.PUT("/api/book/{deviceId}/draft", {
        params: { path: { deviceId: id } },
        body: document as unknown as Record<string, Record<string, never>>,
      }),
    );
    setStored(document);
    if (!detail.draft) {
      await reload();
    }
  });
  const release = useSubmit(async () => {
    unwrap(await api.POST("/api/book/{deviceId}/release", { params: { path: { deviceId: id } } }));
    await reload();
  });
  const withdraw = useSubmit(async () => {
    unwrap(await api.DELETE("/api/book/{deviceId}", { params: { path: { deviceId: id } } }));
    await client.invalidateQueries({ queryKey: ["book"] });
    await navigate("/book");
  });
  const putBack = useSubmit(async () => {
    unwrap(await api.POST("/api/book/{deviceId}/put-back", { params: { path: { deviceId: id } } }));
    await reload();
  });
  const outline = useSubmit(async (file: File) => {
    const drawn = unwrap(await api.POST("/api/book-outline", { body: await file.text(), ...asText }));
    change((now) => ({ ...now, outline: drawn }));
  });
  const problem = save.problem ?? release.problem ?? withdraw.problem ?? putBack.problem ?? outline.problem;
  const unsaved = document !== stored;

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key === "z") {
        event.preventDefault();
        (event.shiftKey ? redo : undo)();
      }
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [undo, redo]);

  const shown = SECTIONS.find((s) => s.id === section) ?? SECTIONS[0];
  return (
    <main className="flex min-h-0 flex-1 flex-col gap-3 px-5 py-3">
      {leaving && (
        <Leaving
          id={id}
          name={document.name}
          busy={withdraw.busy}
          onGo={() => void withdraw.submit(undefined)}
          onClose={() => setLeaving(false)}
        />
      )}
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="mr-2 text-2xl font-bold">{document.name}</h1>
        <span className="mr-auto text-quiet">
          {detail.draft ? `draft of version ${detail.version}` : `version ${detail.version}, released`}
          {unsaved && ", changed"}
        </span>
        <Button aria-label="Undo" disabled={!draft.canUndo} onClick={undo}>
          <Undo2 aria-hidden size={20} />
        </Button>
        <Button aria-label="Redo" disabled={!draft.canRedo} onClick={redo}>
          <Redo2 aria-hidden size={20} />
        </Button>
        <a
          href={`/api/book/${id}/export`}
          download
          className="flex min-h-11 items-center rounded-md border-2 border-ink bg-sheet px-4"
        >
          Export
        </a>
        {mayRelease &&
          (detail.device.withdrawn ? (
            <Button onClick={() => void putBack.submit(undefined)}>Put it back in the book</Button>
          ) : (
            <Button look="alarm" onClick={() => setLeaving(true)}>
              Delete
            </Button>
          ))}
        {mayDraw && (
          <Button
            look={unsaved ? "lamp" : "plain"}
            disabled={!unsaved || save.busy}
            onClick={() => void save.submit(undefined)}
          >
            Keep as draft
          </Button>
        )}
        {mayRelease && (
          <Button
            look={detail.draft && !unsaved && flaws.length === 0 ? "lamp" : "plain"}
            disabled={!detail.draft || unsaved || flaws.length > 0 || !draft.checked}
            onClick={() => void release.submit(undefined)}
          >
            Release
          </Button>
        )}
      </div>
      <div
        className="flex flex-wrap gap-1 border-b-2 border-line"
        role="tablist"
        aria-label="Parts of the profile"
      >
        {SECTIONS.map((one) => {
          const wrong = flaws.filter((flaw) => belongs(flaw, one.paths)).length;
          return (
            <button
              key={one.id}
              type="button"
              role="tab"
              aria-selected={one.id === shown?.id}
              className={clsx(
                "min-h-11 px-3",
                one.id === shown?.id ? "bg-ink text-sheet" : "hover:bg-sheet",
                wrong > 0 && one.id !== shown?.id && "text-alarm",
              )}
              onClick={() => setSection(one.id)}
            >
              {one.words}
              {wrong > 0 && ` · ${wrong} wrong`}
            </button>
          );
        })}
      </div>
      {problem && <ProblemNote problem={problem} />}
      <Flaws flaws={flaws} onGo={setSection} />
      {shown?.id === "edge" &&
        (draft.edge ? (
          <EdgeEditor draft={draft} edge={draft.edge} />
        ) : (
          <p className="text-lg">{flaws.length > 0 ? "There is no outline to draw on yet." : "Drawing …"}</p>
        ))}
      {shown?.id !== "edge" && (
        <ScrollRegion label={shown?.words ?? ""} className="space-y-6">
          <Gaps gaps={draft.gaps.filter((gap) => belongs(gap, shown?.paths ?? []))} />
          {shown?.id === "body" && (
            <>
              <div className="flex items-center gap-3">
                <FilePick id="outline-file" accept=".svg,.dxf" onFile={(file) => void outline.submit(file)}>
                  Outline from SVG or DXF
                </FilePick>
                <span className="text-quiet">first closed path, in millimetres</span>
              </div>
              <BodySection document={document} change={change} />
            </>
          )}
          {shown?.id === "inside" && (
            <>
              {draft.edge && <InsideMap draft={draft} edge={draft.edge} />}
              <ScrewFile deviceId={id} onScrews={(screws) => change((now) => ({ ...now, screws }))} />
              <Orders orders={draft.orders} />
            </>
          )}
          {shown?.lists.map((list) => (
            <ListEditor
              key={list}
              title={LISTS[list].title}
              entries={document[list]}
              columns={LISTS[list].columns}
              fresh={LISTS[list].fresh}
              document={document}
              onChange={(entries) => change((now) => ({ ...now, [list]: entries }))}
            />
          ))}
          {shown?.id === "body" && <WidthLists document={document} change={change} />}
          {shown?.id === "carry" && <JointLists document={document} change={change} />}
          {shown?.id === "repairs" && <FateLists document={document} change={change} />}
          {shown?.id === "variants" && <VariantLists document={document} change={change} />}
        </ScrollRegion>
      )}
      <Corrections detail={detail} maysettle={mayRelease} onSettled={() => void reload()} />
    </main>
  );
}

function belongs(flaw: Flaw, paths: readonly string[]): boolean {
  return paths.includes(flaw.path.split("/")[0] ?? "");
}

/** A line whether there is something or not: what is found wrong while someone edits moves nothing under their pointer. */
function Flaws({ flaws, onGo }: { flaws: readonly Flaw[]; onGo: (section: string) => void }) {
  return (
    <ul
      className={clsx("h-6 shrink-0 overflow-auto", flaws.length > 0 && "border-l-4 border-alarm pl-3")}
      aria-label="What is wrong"
      aria-live="polite"
    >
      {flaws.map((flaw) => (
        <li key={`${flaw.path}/${flaw.allowed}`} className="leading-snug">
          <button
            type="button"
            className="text-left hover:underline"
            onClick={() => onGo(SECTIONS.find((s) => belongs(flaw, s.paths))?.id ?? "body")}
          >
            <b>{flaw.path}</b> is {flaw.value}; allowed: {flaw.allowed}
          </button>
        </li>
      ))}
    </ul>
  );
}

function Corrections({
  detail,
  maysettle,
  onSettled,
}: {
  detail: Detail;
  maysettle: boolean;
  onSettled: () => void;
}) {
  const settle = useSubmit(async ({ id, taken }: { id: number; taken: boolean }) => {
    unwrap(
      await api.POST("/api/book/{deviceId}/corrections/{correctionId}", {
        params: { path: { deviceId: detail.device.id, correctionId: id } },
        body: { taken },
      }),
    );
    onSettled();
  });
  if (detail.corrections.length === 0) {
    return null;
  }
  return (
    <ul
      className="max-h-32 divide-y divide-line overflow-auto border-t-2 border-line"
      aria-label="Corrections from the bench"
    >
      {detail.corrections.map((correction) => (
        <li key={correction.id} className="flex items-center gap-3 py-1">
          <span className="min-w-0 flex-1 leading-snug">
            From the bench, {correction.byWhom}: <b>{correction.what}</b>: {correction.found}
          </span>
          {maysettle && (
            <>
              <Button onClick={() => void settle.submit({ id: correction.id, taken: true })}>Taken up</Button>
              <Button look="quiet" onClick={() => void settle.submit({ id: correction.id, taken: false })}>
                Not so
              </Button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

/** Before a device goes: what goes on without it. */
function Leaving({
  id,
  name,
  busy,
  onGo,
  onClose,
}: {
  id: string;
  name: string;
  busy: boolean;
  onGo: () => void;
  onClose: () => void;
}) {
  const { data: on } = useQuery({
    queryKey: ["book", id, "hanging"],
    queryFn: async () =>
      unwrap(await api.GET("/api/book/{deviceId}/hanging", { params: { path: { deviceId: id } } })),
  });
  const hangs = on
    ? [
        [on.openJobs, "at work on it", "go on with the version they began with"],
        [on.doneJobs, "handed over", "keep their record"],
        [on.parts, "on the shelf or a price list", `stay, with ${on.pieces} pieces counted`],
        [on.cutForIt, "cut for it", "stay on the shelf"],
      ]
    : [];
  return (
    <Modal title={`Delete ${name}?`} open onClose={onClose}>
      <div className="space-y-4">
        <p className="text-lg">
          Nobody takes one in any more. It stands at the end of the book and can be put back.
        </p>
        {on && (
          <table className="w-full">
            <caption className="sr-only">What hangs on it</caption>
            <tbody>
              {hangs.map(([many, what, then], i) => (
                <tr key={what} className={clsx("border-t border-line align-top", many === 0 && "text-quiet")}>
                  <th scope="row" className="py-1 pr-3 text-left font-semibold whitespace-nowrap">
                    {["Jobs", "Jobs", "Parts", "Rings and frames"][i]} {what}
                  </th>
                  <td className="digits py-1 pr-3 text-right text-lg">{many}</td>
                  <td className="py-1">{many === 0 ? "" : then}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {on?.draft && <p>Its draft is kept.</p>}
        <div className="flex justify-end gap-3">
          <Button look="quiet" onClick={onClose}>
            Not now
          </Button>
          <Button look="alarm" disabled={!on || busy} onClick={onGo}>
            Delete it
          </Button>
        </div>
      </div>
    </Modal>
  );
}
