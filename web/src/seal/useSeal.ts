import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import type { Piece, Tone, Track } from "@/edge/pieces";
import type { View } from "@/edge/useEdge";

export type Seal = Schemas["SealView"];
type Bead = NonNullable<Seal["bead"]>;

/** As wide as what presses there. */
const CLAMP_MM = 14;

const FROM_THE_FRONT: View = { quarterTurns: 0, faceDown: false };

/** What presses it, and how it lies; a gauge beside it says something new all the time. */
export const useSeal = (jobId: string, seq: number, wanted: boolean, view: View = FROM_THE_FRONT) =>
  useQuery({
    queryKey: keys.station(jobId, "seal", seq, view),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/seal", { params: { path: { jobId }, query: view } })),
    placeholderData: keepPreviousData,
    refetchInterval: 2000,
    enabled: wanted,
  });

/** The bead all round but where nothing may lie, and the clamps over it. */
export function beadTracks(bead: Bead, lengthMm: number, clamped: boolean): Track[] {
  const bare = [...bead.bare].sort((a, b) => a.fromMm - b.fromMm);
  const laid: Piece[] = bare.map((gap, i) => {
    const from = gap.fromMm + gap.lengthMm;
    const to = bare[i + 1]?.fromMm ?? (bare[0]?.fromMm ?? 0) + lengthMm;
    return { id: `bead-${i}`, from: from % lengthMm, length: to - from, tone: tone(bead), title: "bead" };
  });
  return [
    {
      id: "bead",
      name: "bead",
      height: 30,
      pieces: [
        ...(bare.length === 0
          ? [{ id: "bead", from: 0, length: lengthMm, tone: tone(bead), title: "bead" }]
          : laid),
        ...bare.map((gap, i): Piece => ({
          id: `bare-${i}`,
          from: gap.fromMm,
          length: gap.lengthMm,
          tone: "skip",
          title: `${gap.words} stays clear`,
        })),
      ],
    },
    {
      id: "clamps",
      name: "clamps",
      height: 24,
      pieces: bead.clampsAtMm.map((at, i): Piece => ({
        id: `clamp-${i}`,
        from: (at - CLAMP_MM / 2 + lengthMm) % lengthMm,
        length: CLAMP_MM,
        tone: clamped ? "free" : "bond",
        title: `clamp ${i + 1}`,
      })),
    },
  ];
}

const tone = (bead: Bead): Tone => (bead.skinsAt === null ? "next" : "free");
