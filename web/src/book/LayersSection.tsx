import { api, type Schemas, unwrap } from "@/api/client";
import { useSubmit } from "@/api/useSubmit";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";
import type { Document } from "./document";
import { Amount } from "./fields";

type Layers = Schemas["Layers"];

const SHEETS = [
  ["glass", "Cover glass"],
  ["opticalAdhesive", "Optical adhesive"],
  ["display", "Display"],
  ["battery", "Battery"],
  ["adhesive", "Bond line"],
  ["ledge", "Ledge"],
] as const;
const OF_A_SHEET = [
  ["thicknessMm", "thick, mm"],
  ["conductivityWPerMK", "conducts, W/mK"],
  ["heatCapacityJPerM3K", "stores, J/m³K"],
  ["densityKgPerM3", "weighs, kg/m³"],
] as const;
const JOINTS = [
  ["frontGapMm", "Glass to display, if air", "mm"],
  ["gapMm", "Display to battery", "mm"],
  ["batteryShare", "Battery's share of the face", ""],
  ["batteryToBackWPerM2K", "Battery to back", "W/m²K"],
  ["displayToBackWPerM2K", "Display to back", "W/m²K"],
  ["rimShare", "Frame's share of the body", ""],
  ["bodyJPerKgK", "Body stores", "J/kgK"],
  ["rimToBackWPerMK", "Frame to back", "W/mK"],
] as const;

/** What lies under the glass: the stated defaults of a class, or what somebody measured. */
export function LayersSection({
  document,
  change,
}: {
  document: Document;
  change: (next: (now: Document) => Document) => void;
}) {
  const set = (layers: Layers | null) => change((now) => ({ ...now, body: { ...now.body, layers } }));
  const { problem, busy, submit } = useSubmit(async () => {
    set(
      unwrap(
        await api.GET("/api/book-layers", {
          params: { query: { deviceClass: document.body.deviceClass, build: document.front.build } },
        }),
      ),
    );
  });
  const layers = document.body.layers;
  return (
    <section className="space-y-2">
      <div className="flex items-center gap-3">
        <h3 className="text-lg font-semibold">Layers under the glass</h3>
        <span className="mr-auto text-quiet">
          {layers ? "this profile's own" : "the stated defaults of its class: a guess for this device"}
        </span>
        {layers ? (
          <Button onClick={() => set(null)}>Back to the class</Button>
        ) : (
          <Button disabled={busy} onClick={() => void submit(undefined)}>
            Write its own
          </Button>
        )}
      </div>
      {problem && <ProblemNote problem={problem} />}
      {layers &&
        SHEETS.map(([name, label]) => {
          const sheet = layers[name];
          return (
            sheet && (
              <div key={name} className="grid grid-cols-[9rem_repeat(4,minmax(0,1fr))] items-end gap-2">
                <b className="pb-2">{label}</b>
                {OF_A_SHEET.map(([field, words]) => (
                  <Amount
                    key={field}
                    id={`layer-${name}-${field}`}
                    label={words}
                    suffix=""
                    value={sheet[field]}
                    onValue={(value) => set({ ...layers, [name]: { ...sheet, [field]: value } })}
                  />
                ))}
              </div>
            )
          );
        })}
      {layers && (
        <div className="grid grid-cols-4 gap-3">
          {JOINTS.map(([field, label, unit]) => (
            <Amount
              key={field}
              id={`layer-${field}`}
              label={label}
              suffix={unit}
              value={layers[field]}
              onValue={(value) => set({ ...layers, [field]: value })}
            />
          ))}
        </div>
      )}
    </section>
  );
}
