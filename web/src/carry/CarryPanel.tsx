import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { BandAndOutline } from "@/edge/BandAndOutline";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { clockWords } from "@/time/clock";
import { Facts } from "@/ui/Facts";
import { length, temperature } from "@/units/units";
import { Copying } from "./Copying";
import { Ledger } from "./Ledger";

type Split = NonNullable<Schemas["CarryView"]["split"]>;

/** Where a panel is kept: how its old glass comes off. */
export function CarryPanel(props: PanelProps) {
  const { job, view } = props;
  const { data } = useQuery({
    queryKey: keys.station(job.id, "carry", job.seq, view),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/carry", { params: { path: { jobId: job.id }, query: view } })),
    placeholderData: keepPreviousData,
  });
  const open = job.steps.some((step) => step.id === "carry.panel" && step.open);
  if (!data) {
    return <p className="text-xl">…</p>;
  }
  const copied = data.ledger.find((row) => row.data && row.standing === "NOW");
  if (copied) {
    return <Copying {...props} partId={copied.id} />;
  }
  return data.split && open ? (
    <Splitting {...props} split={data.split} />
  ) : (
    <Ledger {...props} rows={data.ledger} oldFront={data.oldFront} />
  );
}

function Splitting({ job, pointed, onPoint, view, onView, split }: PanelProps & { split: Split }) {
  const units = useUnits();
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: [],
    foldedTrack: "",
    outlines: [
      { id: "wire", points: split.wire, laid: false },
      { id: "arrow", points: arrow(split), laid: true },
      { id: "ends", points: split.ends, laid: false },
    ],
    pointed,
    onPoint,
    view,
    onView,
  });
  return (
    <BandAndOutline band={null} folded={picture.folded}>
      <Facts
        facts={[
          [`plate, ${clockWords(split.warmSeconds)} on it`, temperature(split.plateC, units)],
          ["wire", length(split.wireMm, units)],
          ["a second at most", length(split.mmPerS, units)],
          ["of sawing", clockWords(Math.round(split.seconds))],
        ]}
      />
      <p className="mt-3 text-xl leading-snug font-semibold">
        In at the {split.entry}, towards the {split.exit}
      </p>
      <p className="leading-snug">
        Glass down on the plate, both ends of the wire low, in the clear bond and not in the panel.
        {split.endsShortMm > 0 &&
          ` Stop ${length(split.endsShortMm, units)} short: the panel's cable. A card does the rest.`}
      </p>
      <p className="mt-2 leading-snug text-quiet">
        Reckoned for the stiffest clear bond from handbook values. Face taped, gloves and eye protection on.
      </p>
    </BandAndOutline>
  );
}

/** From the wire to where it ends. */
function arrow({ wire, ends }: Split): { x: number; y: number }[] {
  const middle = (line: Split["wire"]) => ({
    x: ((line[0]?.x ?? 0) + (line[1]?.x ?? 0)) / 2,
    y: ((line[0]?.y ?? 0) + (line[1]?.y ?? 0)) / 2,
  });
  const [from, to] = [middle(wire), middle(ends)];
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const long = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / long, dy / long];
  const head = Math.min(6, long / 3);
  const tip = { x: to.x - ux, y: to.y - uy };
  return [
    { x: from.x + ux, y: from.y + uy },
    { x: tip.x - head * ux, y: tip.y - head * uy },
    { x: tip.x - head * ux - (head / 2) * uy, y: tip.y - head * uy + (head / 2) * ux },
    tip,
    { x: tip.x - head * ux + (head / 2) * uy, y: tip.y - head * uy - (head / 2) * ux },
    { x: tip.x - head * ux, y: tip.y - head * uy },
  ];
}
