import { FlipHorizontal2, Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { Patterns } from "@/edge/Patterns";
import type { Edge } from "@/edge/useEdge";
import { Button } from "@/ui/Button";
import { type Feature, freshId, tenth } from "./document";
import { mirrored } from "./dragging";
import { EdgeBand } from "./EdgeBand";
import { EdgeSheet } from "./EdgeSheet";
import { FeatureForm } from "./FeatureForm";
import type { Draft } from "./useDraft";

/** The edge, folded and unrolled, with what lies on it: dragged, nudged or typed. */
export function EdgeEditor({ draft, edge }: { draft: Draft; edge: Edge }) {
  const { document, change, flaws } = draft;
  const [chosen, setChosen] = useState<string | null>(document.features[0]?.id ?? null);
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
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <Patterns />
      <EdgeBand {...shared} />
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
              onSet={(values) => set(feature.id, values)}
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
