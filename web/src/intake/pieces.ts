import type { Piece } from "@/edge/pieces";
import type { Edge } from "@/edge/useEdge";
import type { Job } from "@/job/useJob";

export function crackPieces(cracks: Job["cracks"]): Piece[] {
  return cracks.map((crack, i) => ({
    id: `crack-${i}`,
    from: crack.fromMm,
    length: crack.lengthMm,
    tone: "crack",
    title: "crack at the edge",
  }));
}

export function featurePieces(edge: Edge | undefined): Piece[] {
  return (edge?.features ?? []).map((feature) => ({
    id: feature.id,
    from: feature.fromMm,
    length: feature.lengthMm,
    tone: "free",
    label: feature.words,
    title: `${feature.words}: ${feature.consequence}`,
  }));
}
