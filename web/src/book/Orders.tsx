import { BatteryCharging, Zap } from "lucide-react";
import { useState } from "react";
import type { Schemas } from "@/api/client";
import type { Flaw } from "./document";

/** How the device comes apart as it is drawn: what the bench will be led by. */
export function Orders({ orders }: { orders: readonly Schemas["OrderView"][] }) {
  const [chosen, setChosen] = useState(0);
  const order = orders[chosen] ?? orders[0];
  if (!order) {
    return null;
  }
  return (
    <section className="space-y-2">
      <div className="flex flex-wrap items-center gap-2">
        <h3 className="mr-2 text-lg font-semibold">
          Comes apart{orders.length === 1 && ` for: ${order.repair}`}
        </h3>
        {orders.length > 1 &&
          orders.map((one, index) => (
            <button
              key={one.repair}
              type="button"
              aria-pressed={one === order}
              className="min-h-10 rounded-full border-2 border-line bg-sheet px-3 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
              onClick={() => setChosen(index)}
            >
              {one.repair}
            </button>
          ))}
      </div>
      <ol className="flex flex-wrap items-center gap-x-2 gap-y-1" aria-label={`Order for ${order.repair}`}>
        {order.moves.map((move, index) => (
          <li key={index} className="flex items-center gap-2">
            {move.isolates ? (
              <b className="flex items-center gap-1 bg-ink px-2 text-sheet">
                <BatteryCharging aria-hidden size={18} /> {move.words}: battery out of circuit
              </b>
            ) : move.live ? (
              <b className="flex items-center gap-1 border-2 border-alarm px-2 text-alarm">
                <Zap aria-hidden size={18} /> {move.words}: still live
              </b>
            ) : (
              <span>{move.words}</span>
            )}
            {index < order.moves.length - 1 && <span aria-hidden>›</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** What nobody has looked at yet: the device can be worked on, the bench just can't say these. */
export function Gaps({ gaps }: { gaps: readonly Flaw[] }) {
  return (
    gaps.length > 0 && (
      <details className="border-l-4 border-line pl-3">
        <summary className="min-h-9 cursor-pointer text-quiet">
          {gaps.length === 1 ? "1 thing is" : `${gaps.length} things are`} not known yet
        </summary>
        <ul className="leading-snug">
          {gaps.map((gap) => (
            <li key={`${gap.path}/${gap.allowed}`}>
              <b>{gap.path}</b>: {gap.allowed}
            </li>
          ))}
        </ul>
      </details>
    )
  );
}
