import { useQuery } from "@tanstack/react-query";
import { FlipHorizontal2, Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { Patterns } from "@/edge/Patterns";
import type { Edge } from "@/edge/useEdge";
import { Button } from "@/ui/Button";
import { type Feature, freshId, tenth, words, wrapped } from "./document";
import { mirrored } from "./dragging";
import { EdgeBand } from "./EdgeBand";
import { EdgeSheet } from "./EdgeSheet";
import { FeatureForm } from "./FeatureForm";
import type { Draft } from "./useDraft";

type Usual = Schemas["UsualFeature"];

/** The edge, folded and unrolled, with what lies on it: dragged, nudged or typed. */
export function EdgeEditor({ draft, edge }: { draft: Draft; edge: Edge }) {
  const { document, change, flaws } = draft;
  const [chosen, setChosen] = useState<string | null>(document.features[0]?.id ?? null);
  const [putting, setPutting] = useState<Usual | null>(null);
  const usual = useQuery({
    queryKey: keys.usual,
    queryFn: async () => unwrap(await api.GET("/api/book-usual")),
    staleTime: Infinity,
  });
  const feature = document.features.find((f) => f.id === chosen) ?? null;
  const wrong = new Set(
    flaws
      .map((flaw) => flaw.path.split("/"))
      .flatMap(([list, id]) => (list === "features" && id ? [id] : [])),
  );
  const set = (id: string, values: Partial<Feature>, joined = false) =>
    change(
      (now) => ({ ...now, features: now.features.map((f) => (f.id === id ? { ...f, ...values } : f)) }),
      joined,
    );
  const shared = {
    document,
    edge,
    chosen,
    wrong,
    onChoose: setChosen,
    onSet: set,
    onBegin: () => change((now) => now),
  };
  const add = () => {
    const id = freshId(
      "feature",
      document.features.map((f) => f.id),
    );
    change((now) => ({
      ...now,
      features: [
        ...now.features,
        {
          id,
          kind: "CABLE",
          words: "new cable",
          fromMm: tenth(edge.perimeterMm / 8),
          lengthMm: 12,
          depthMm: null,
          hazard: 0.8,
          consequence: "",
          keepsTapeOff: false,
        },
      ],
    }));
    setChosen(id);
  };
  /** What another kind brings along, unless somebody has said something else already. */
  const brought = (feature: Feature, kind: Feature["kind"] | undefined): Partial<Feature> => {
    const usualOf = (one: Feature["kind"] | undefined) => usual.data?.find(({ kind: of }) => of === one);
    const now = usualOf(kind);
    const untouched =
      feature.consequence === "" || feature.consequence === usualOf(feature.kind)?.consequence;
    return now && untouched ? { ...now, lengthMm: feature.lengthMm } : {};
  };
  const put = (usual: Usual, mm: number) => {
    const id = freshId(
      usual.kind,
      document.features.map((f) => f.id),
    );
    change((now) => ({
      ...now,
      features: [
        ...now.features,
        { ...usual, id, fromMm: wrapped(tenth(mm - usual.lengthMm / 2), edge.perimeterMm) },
      ],
    }));
    setChosen(id);
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <Patterns />
      <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Tap onto the edge">
        <span className="mr-1 text-quiet">Tap onto the edge:</span>
        {usual.data?.map((one) => (
          <button
            key={one.kind}
            type="button"
            aria-pressed={putting?.kind === one.kind}
            className="min-h-10 rounded-full border-2 border-line bg-sheet px-3 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
            onClick={() => setPutting(putting?.kind === one.kind ? null : one)}
          >
            {words(one.kind)}
          </button>
        ))}
      </div>
      <EdgeBand {...shared} onPlace={putting && ((mm) => put(putting, mm))} />
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,23rem)] gap-5">
        <EdgeSheet {...shared} />
        <div className="min-h-0 space-y-3 overflow-auto pr-1">
          <div className="flex flex-wrap gap-2">
            <Button className="flex items-center gap-1" onClick={add}>
              <Plus aria-hidden size={18} /> Add
            </Button>
            {feature && (
              <>
                <Button
                  className="flex items-center gap-1"
                  onClick={() => set(feature.id, { fromMm: mirrored(feature, edge) })}
                >
                  <FlipHorizontal2 aria-hidden size={18} /> Mirror
                </Button>
                <Button
                  look="alarm"
                  className="flex items-center gap-1"
                  onClick={() => {
                    change((now) => ({ ...now, features: now.features.filter((f) => f.id !== feature.id) }));
                    setChosen(null);
                  }}
                >
                  <Trash2 aria-hidden size={18} /> Remove
                </Button>
              </>
            )}
          </div>
          {feature ? (
            <FeatureForm
              key={feature.id}
              feature={feature}
              confidence={document.confidence[`features/${feature.id}`] ?? document.confidence[""] ?? "GUESS"}
              onSet={(values) => set(feature.id, { ...brought(feature, values.kind), ...values })}
              onConfidence={(confidence) =>
                change((now) => ({
                  ...now,
                  confidence: { ...now.confidence, [`features/${feature.id}`]: confidence },
                }))
              }
            />
          ) : (
            <p className="text-quiet">Choose what lies on the edge, or add something.</p>
          )}
        </div>
      </div>
    </div>
  );
}
