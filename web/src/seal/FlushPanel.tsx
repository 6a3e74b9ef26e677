import type { Schemas } from "@/api/client";
import { BandAndOutline } from "@/edge/BandAndOutline";
import type { Piece } from "@/edge/pieces";
import { useEdge } from "@/edge/useEdge";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { length, say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { beadTracks, useSeal } from "./useSeal";
import { Awaited } from "@/ui/Awaited";

type Place = Schemas["FlushPlaceView"];

/** At most as wide as a thumb that presses there. */
const THUMB_MM = 15;

/** Of what lies between two places. */
const SHARE = 0.5;

/** Once it is seated: where to press and how long, and how it lies in its rim, place by place. */
export function FlushPanel({
  job,
  record,
  ask,
  pointed,
  onPoint,
  view,
  onView,
}: Pick<PanelProps, "job" | "record" | "ask" | "pointed" | "onPoint" | "view" | "onView">) {
  const units = useUnits();
  const { data: seal } = useSeal(job.id, job.seq, true);
  const edge = useEdge(job.id, view).data;
  const places = seal?.places ?? [];
  const picture = useEdgePicture({
    jobId: job.id,
    newFront: true,
    tracks: [
      {
        id: "flush",
        name: "over the rim",
        height: 44,
        pieces: edge ? flushPieces(places, edge.perimeterMm, units) : [],
      },
      ...(seal?.bead && edge ? beadTracks(seal.bead, edge.perimeterMm, true).slice(1) : []),
    ],
    foldedTrack: "flush",
    pointed,
    onPoint,
    view,
    onView,
  });
  if (!seal) {
    return <Awaited words="Looking along the rim" />;
  }
  const wrong = places.find((place) => place.verdict !== null && place.verdict !== "FLUSH");
  const there = pointed === null ? wrong : nearest(places, pointed);
  const read = places.filter((place) => place.overMm !== null).length;
  return (
    <BandAndOutline
      {...picture}
      below={`${read} of ${places.length} places read. Tap one on the band; a nail drawn over it feels a step.`}
    >
      {there ? (
        <One
          place={there}
          gauge={seal.gauge}
          closed={job.closed}
          onType={() =>
            ask({ title: `Flush at the ${say(there.place, units)}`, hint: null, choice: there.type })
          }
          onTake={(take) => void record(take.fact, take.label).then(() => onPoint(null))}
        />
      ) : (
        <Press press={seal.press} units={units} />
      )}
    </BandAndOutline>
  );
}

function Press({ press, units }: { press: Schemas["SealView"]["press"]; units: Units }) {
  return press === null ? (
    <p className="text-2xl leading-snug font-semibold">
      Clamps from the corners along the edges, a pad under each; wiped before it cures.
    </p>
  ) : (
    <>
      <p className="digits text-5xl leading-none font-bold">{press.secondsEach} s</p>
      <p className="mt-2 text-xl leading-snug font-semibold">
        at each of {press.places} places, one every {length(press.everyMm, units)}, by a thumb&apos;s{" "}
        {press.newtons} N
      </p>
      <p className="mt-2 leading-snug">
        Corners first, never the middle. Left flat {press.restsMinutes} min before it is bent, stood up or
        pocketed; whole strength after {press.wholeHours} h.
      </p>
    </>
  );
}

function One({
  place,
  gauge,
  closed,
  onType,
  onTake,
}: {
  place: Place;
  gauge: Schemas["SealView"]["gauge"];
  closed: boolean;
  onType: () => void;
  onTake: (take: NonNullable<Place["take"]>) => void;
}) {
  const units = useUnits();
  const { take } = place;
  return (
    <>
      <p className="text-xl leading-snug font-semibold first-letter:uppercase">{say(place.place, units)}</p>
      {place.overMm !== null && (
        <p className="digits text-4xl leading-tight font-bold">
          {place.overMm === 0
            ? "flush"
            : `${length(Math.abs(place.overMm), units)} ${place.overMm > 0 ? "over" : "under"}`}
        </p>
      )}
      {place.verdictWords !== null && (
        <p className={`leading-snug ${place.verdict === "FLUSH" ? "" : "font-semibold text-alarm"}`}>
          {say(place.verdictWords, units)}
        </p>
      )}
      {!closed && (
        <div className="mt-3 flex flex-wrap gap-2">
          <Button disabled={!place.type.mine} onClick={onType}>
            It reads …
          </Button>
          {gauge && take && (
            <Button look="lamp" disabled={!take.mine} onClick={() => onTake(take)}>
              Take {length(gauge.mm, units)} of the gauge
            </Button>
          )}
        </div>
      )}
    </>
  );
}

function nearest(places: readonly Place[], at: number): Place | undefined {
  return [...places].sort((a, b) => Math.abs(a.positionMm - at) - Math.abs(b.positionMm - at))[0];
}

function flushPieces(places: readonly Place[], lengthMm: number, units: Units): Piece[] {
  const wide = Math.min(THUMB_MM, (SHARE * lengthMm) / places.length);
  return places.map((place, i) => ({
    id: `flush-${i}`,
    from: (place.positionMm - wide / 2 + lengthMm) % lengthMm,
    length: wide,
    tone: place.verdict === null ? "bond" : place.verdict === "FLUSH" ? "free" : "next",
    label: place.overMm === null ? "" : place.overMm.toFixed(2),
    title: `${place.place}: ${place.overMm === null ? "not read" : length(place.overMm, units)}`,
  }));
}
