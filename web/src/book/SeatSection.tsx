import {
  profileDocumentOpticalBondsValues,
  profileDocumentSealsValues,
  seatMaterialValues,
} from "@/api/schema";
import { type Document, words } from "./document";
import { Millimetres, Pick } from "./fields";
import { ListEditor } from "./ListEditor";
import { PLASTICS } from "./lists";
import { Ticks } from "./Ticks";

type Seat = Document["seat"];
interface Bonds {
  seals: Document["seals"];
  opticalBonds: Document["opticalBonds"];
}

/** How the front is held again, and how glass and panel are joined: two adhesives, not one. */
export function Adhesives({ value, onValue }: { value: Bonds; onValue: (values: Partial<Bonds>) => void }) {
  return (
    <>
      <Ticks
        label={`The front can be held by; the usual way first: ${value.seals.map(words).join(", ")}`}
        options={profileDocumentSealsValues}
        chosen={value.seals}
        onChosen={(seals) => onValue({ seals })}
      />
      <Ticks
        label="Glass and panel are joined here by"
        options={profileDocumentOpticalBondsValues}
        chosen={value.opticalBonds}
        onChosen={(opticalBonds) => onValue({ opticalBonds })}
      />
    </>
  );
}

/** Where the front lies: what decides whether it is flush, and what may clean it. */
export function SeatSection({
  id,
  seat,
  document,
  onSeat,
}: {
  id: string;
  seat: Seat;
  document: Document;
  onSeat: (seat: Seat) => void;
}) {
  const kinds = [...new Set(document.repairs.flatMap((repair) => repair.parts))];
  const thickness = (part: (typeof kinds)[number]) =>
    seat.parts.find((one) => one.part === part)?.overLedgeMm ?? null;
  return (
    <>
      <Pick
        id={`${id}-seat-material`}
        label="The ledge is of"
        value={seat.material}
        options={seatMaterialValues}
        onValue={(material) => onSeat({ ...seat, material })}
      />
      <Millimetres
        id={`${id}-seat-depth`}
        label="Seat, rim to ledge"
        value={seat.depthMm}
        onValue={(depthMm) => onSeat({ ...seat, depthMm: depthMm ?? 0 })}
      />
      {kinds.map((part) => (
        <Millimetres
          key={part}
          id={`${id}-seat-${part}`}
          label={`${words(part)}, thick over the ledge`}
          value={thickness(part)}
          onValue={(overLedgeMm) => {
            const others = seat.parts.filter((one) => one.part !== part);
            onSeat({ ...seat, parts: overLedgeMm === null ? others : [...others, { part, overLedgeMm }] });
          }}
        />
      ))}
      <div className="col-span-full">
        <ListEditor
          title="Plastic, paint or film near the ledge"
          entries={seat.plastics}
          {...PLASTICS}
          onChange={(plastics) => onSeat({ ...seat, plastics: plastics as unknown as Seat["plastics"] })}
        />
      </div>
    </>
  );
}
