/** Screws that look alike share a shape: told apart without reading, in any colour. */
export function ScrewMark({
  kind,
  r,
  fill,
  ring = false,
  crossed = false,
}: {
  kind: number;
  r: number;
  fill: string;
  /** Hidden under something: a ring round it. */
  ring?: boolean;
  crossed?: boolean;
}) {
  const shared = { fill, stroke: "var(--ink)", strokeWidth: 1.5 };
  return (
    <>
      {ring && <circle r={r + 3.5} fill="none" stroke="var(--ink)" strokeWidth={1.5} strokeDasharray="3 2" />}
      {kind % 4 === 0 && <circle r={r} {...shared} />}
      {kind % 4 === 1 && <rect x={-r} y={-r} width={2 * r} height={2 * r} {...shared} />}
      {kind % 4 === 2 && <path d={`M0 ${-1.3 * r}L${1.2 * r} ${r}H${-1.2 * r}Z`} {...shared} />}
      {kind % 4 === 3 && <path d={`M0 ${-1.4 * r}L${1.4 * r} 0L0 ${1.4 * r}L${-1.4 * r} 0Z`} {...shared} />}
      {crossed && (
        <path d={`M${-r} ${-r}L${r} ${r}M${r} ${-r}L${-r} ${r}`} stroke="var(--ink)" strokeWidth={1.5} />
      )}
    </>
  );
}
