import { BatteryCharging, Zap } from "lucide-react";
import type { Schemas } from "@/api/client";
import type { Flaw } from "./document";

/** How the device comes apart as it is drawn: what the bench will be led by. */
export function Orders({ orders }: { orders: readonly Schemas["OrderView"][] }) {
  return orders.map((order) => (
    <section key={order.repair}>
      <h3 className="text-lg font-semibold">Comes apart for: {order.repair}</h3>
      <ol className="mt-1 flex flex-wrap gap-x-2 gap-y-1" aria-label={`Order for ${order.repair}`}>
        {order.moves.map((move, index) => (
          <li key={index} className="flex items-center gap-2">
            {index > 0 && <span aria-hidden>›</span>}
            {move.isolates ? (
              <b className="flex items-center gap-1 bg-free px-2 text-sheet">
                <BatteryCharging aria-hidden size={18} /> {move.words}: battery out of circuit
              </b>
            ) : move.live ? (
              <b className="flex items-center gap-1 border-2 border-alarm px-2 text-alarm">
                <Zap aria-hidden size={18} /> {move.words}: still live
              </b>
            ) : (
              <span>{move.words}</span>
            )}
          </li>
        ))}
      </ol>
    </section>
  ));
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
