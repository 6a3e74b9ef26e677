import type { ReactNode } from "react";
import { ScrollRegion } from "@/ui/ScrollRegion";

/** The usual arrangement: the band on top, below it the outline with the number that matters beside it. */
export function BandAndOutline({
  band,
  folded,
  below,
  children,
}: {
  band: ReactNode;
  folded: ReactNode;
  /** How far it has come, in a line or two under the outline. */
  below?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      {band}
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_17rem] items-center gap-5 max-lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
        <div className="flex h-full min-h-0 flex-col gap-1">
          {folded}
          {below && <p className="shrink-0 leading-snug text-quiet">{below}</p>}
        </div>
        <ScrollRegion label="What is in hand" className="max-h-full">
          {children}
        </ScrollRegion>
      </div>
    </div>
  );
}
