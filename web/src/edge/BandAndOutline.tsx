import type { ReactNode } from "react";
import { ScrollRegion } from "@/ui/ScrollRegion";

/** The usual arrangement: the band on top, below it the outline with the number that matters beside it. */
export function BandAndOutline({
  band,
  folded,
  children,
}: {
  band: ReactNode;
  folded: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      {band}
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_17rem] items-center gap-5 max-lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
        {folded}
        <ScrollRegion label="What is in hand" className="max-h-full">
          {children}
        </ScrollRegion>
      </div>
    </div>
  );
}
