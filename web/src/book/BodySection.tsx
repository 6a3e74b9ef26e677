import {
  bodyBatteryReachValues,
  bodyDeviceClassValues,
  frontAdhesiveAnyOf0Values,
  frontBuildValues,
  frontHoldingValues,
  frontPanelValues,
  frontSeamValues,
} from "@/api/schema";
import { Choose, Field } from "@/ui/Field";
import { CONFIDENCES, type Document } from "./document";
import { Amount, Millimetres, Pick } from "./fields";
import { LayersSection } from "./LayersSection";
import { Adhesives, SeatSection } from "./SeatSection";

type Adhesive = NonNullable<Document["front"]["adhesive"]>;
type Change = (next: (now: Document) => Document) => void;

const EDGES = ["TOP", "RIGHT", "BOTTOM", "LEFT"] as const;
const EDGE_LABELS = {
  TOP: "First edge from the landmark",
  RIGHT: "Second, clockwise",
  BOTTOM: "Third edge",
  LEFT: "Fourth edge",
};
const CORNERS = [
  ["topLeftMm", "Corner at the landmark"],
  ["topRightMm", "Next corner, clockwise"],
  ["bottomRightMm", "Across"],
  ["bottomLeftMm", "Last corner"],
] as const;
const LIMITS = [
  ["batteryCautionC", "Battery, caution"],
  ["batteryStopC", "Battery, stop"],
  ["displayCautionC", "Display, caution"],
  ["displayStopC", "Display, stop"],
  ["plasticsStopC", "Softest plastic, stop"],
] as const;
const SURE = [
  ["", "All in all"],
  ["outline", "Outline"],
  ["border", "Border"],
  ["ledge", "Ledge"],
  ["seat", "Seat"],
  ["body", "Mass and thickness"],
  ["body/layers", "Layers"],
  ["limits", "Limits"],
] as const;

/** All that is one number or one choice: shape, widths, front, body, limits, and how sure each is. */
export function BodySection({ document, change }: { document: Document; change: Change }) {
  const { outline, front, body } = document;
  const setFront = (values: Partial<Document["front"]>) =>
    change((now) => ({ ...now, front: { ...now.front, ...values } }));
  const setBody = (values: Partial<Document["body"]>) =>
    change((now) => ({ ...now, body: { ...now.body, ...values } }));
  return (
    <div className="grid grid-cols-4 gap-4 max-lg:grid-cols-2">
      <Field
        id="doc-name"
        label="Called"
        value={document.name}
        onChange={(e) => change((now) => ({ ...now, name: e.target.value }))}
      />
      <div className="col-span-2">
        <Field
          id="doc-words"
          label="In a few words"
          value={document.words}
          onChange={(e) => change((now) => ({ ...now, words: e.target.value }))}
        />
      </div>
      <Millimetres
        id="doc-opening"
        label="Radius of the opening"
        value={document.openingRadiusMm}
        onValue={(v) => change((now) => ({ ...now, openingRadiusMm: v ?? 0 }))}
      />
      {outline.type === "RoundedRectangle" ? (
        <>
          <Millimetres
            id="outline-width"
            label="Width"
            value={outline.widthMm}
            onValue={(v) => change((now) => ({ ...now, outline: { ...outline, widthMm: v ?? 0 } }))}
          />
          <Millimetres
            id="outline-height"
            label="Height"
            value={outline.heightMm}
            onValue={(v) => change((now) => ({ ...now, outline: { ...outline, heightMm: v ?? 0 } }))}
          />
          {CORNERS.map(([field, label]) => (
            <Millimetres
              key={field}
              id={`outline-${field}`}
              label={label}
              value={outline[field]}
              onValue={(v) => change((now) => ({ ...now, outline: { ...outline, [field]: v ?? 0 } }))}
            />
          ))}
        </>
      ) : (
        <p className="col-span-2 self-end">Outline from a drawing, {outline.points.length} points</p>
      )}
      <Millimetres
        id="doc-border"
        label="Border"
        value={document.border.everywhereMm}
        onValue={(v) => change((now) => ({ ...now, border: { ...now.border, everywhereMm: v ?? 0 } }))}
      />
      <Millimetres
        id="doc-ledge"
        label="Ledge"
        value={document.ledge.everywhereMm}
        onValue={(v) => change((now) => ({ ...now, ledge: { ...now.ledge, everywhereMm: v ?? 0 } }))}
      />
      {EDGES.map((edge) => (
        <Field
          key={edge}
          id={`edge-${edge}`}
          label={EDGE_LABELS[edge]}
          value={document.edgeNames[edge] ?? ""}
          onChange={(e) =>
            change((now) => ({ ...now, edgeNames: { ...now.edgeNames, [edge]: e.target.value } }))
          }
        />
      ))}
      <Pick
        id="front-holding"
        label="Held by"
        value={front.holding}
        options={frontHoldingValues}
        onValue={(holding) =>
          setFront({
            holding,
            adhesive: holding === "CLIPPED" ? null : (front.adhesive ?? "PET_CARRIER_TAPE"),
          })
        }
      />
      <Pick
        id="front-build"
        label="Glass and panel"
        value={front.build}
        options={frontBuildValues}
        onValue={(build) => setFront({ build })}
      />
      <Pick
        id="front-seam"
        label="The tool enters"
        value={front.seam}
        options={frontSeamValues}
        onValue={(seam) => setFront({ seam })}
      />
      <Field
        id="front-seam-words"
        label="About the seam"
        value={front.seamWords ?? ""}
        onChange={(e) => setFront({ seamWords: e.target.value })}
      />
      <Pick
        id="front-hinge"
        label="Hinge edge"
        value={front.hinge as (typeof EDGES)[number]}
        options={EDGES}
        onValue={(hinge) => setFront({ hinge })}
      />
      <Amount
        id="front-angle"
        label="Opens to at most"
        suffix="°"
        value={front.greatestOpeningDeg}
        onValue={(v) => setFront({ greatestOpeningDeg: v })}
      />
      <Amount
        id="front-mass"
        label="Mass of the front"
        suffix="kg"
        value={front.massKg}
        onValue={(v) => setFront({ massKg: v })}
      />
      {front.holding === "BONDED" && (
        <Pick
          id="front-adhesive"
          label="Bonded with"
          value={front.adhesive ?? "PET_CARRIER_TAPE"}
          options={frontAdhesiveAnyOf0Values as Adhesive[]}
          onValue={(adhesive) => setFront({ adhesive })}
        />
      )}
      <Amount
        id="body-mass"
        label="Mass of the device"
        suffix="kg"
        value={body.massKg}
        onValue={(v) => setBody({ massKg: v })}
      />
      <Millimetres
        id="body-thickness"
        label="Thickness"
        value={body.thicknessMm}
        onValue={(v) => setBody({ thicknessMm: v ?? 0 })}
      />
      <Pick
        id="body-class"
        label="Class, for what is not known"
        value={body.deviceClass}
        options={bodyDeviceClassValues}
        onValue={(deviceClass) => setBody({ deviceClass })}
      />
      <Pick
        id="body-reach"
        label="The battery is reached"
        value={body.batteryReach}
        options={bodyBatteryReachValues}
        onValue={(batteryReach) => setBody({ batteryReach })}
      />
      <Pick
        id="front-panel"
        label="Panel"
        value={front.panel}
        options={frontPanelValues}
        onValue={(panel) => setFront({ panel })}
      />
      <Adhesives value={document} onValue={(values) => change((now) => ({ ...now, ...values }))} />
      <SeatSection
        id="doc"
        seat={document.seat}
        document={document}
        onSeat={(seat) => change((now) => ({ ...now, seat }))}
      />
      <div className="col-span-full">
        <LayersSection document={document} change={change} />
      </div>
      {LIMITS.map(([field, label]) => (
        <Amount
          key={field}
          id={`limit-${field}`}
          label={label}
          suffix="°C"
          value={document.limits[field]}
          onValue={(v) => change((now) => ({ ...now, limits: { ...now.limits, [field]: v } }))}
        />
      ))}
      <h3 className="col-span-full text-lg font-semibold">How sure</h3>
      {SURE.map(([path, label]) => (
        <Choose
          key={path}
          id={`sure-${path || "all"}`}
          label={label}
          value={document.confidence[path] ?? ""}
          onChange={(e) =>
            change((now) => {
              const others = Object.entries(now.confidence).filter(([at]) => at !== path);
              return {
                ...now,
                confidence: Object.fromEntries(
                  e.target.value === "" ? others : [...others, [path, e.target.value]],
                ) as Document["confidence"],
              };
            })
          }
        >
          {path !== "" && <option value="">as all in all</option>}
          {CONFIDENCES.map(([one, said]) => (
            <option key={one} value={one}>
              {said}
            </option>
          ))}
        </Choose>
      ))}
    </div>
  );
}
