import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { Button } from "@/ui/Button";

/** The slip that is tied to the device: its number, and a code that leads back to its screen. */
export function TagPage() {
  const { jobId = "" } = useParams();
  const { data: tag } = useQuery({
    queryKey: keys.station(jobId, "tag"),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/tag", { params: { path: { jobId } } })),
  });
  if (!tag) {
    return <main className="p-8 text-xl">…</main>;
  }
  return (
    <main className="min-h-0 flex-1 overflow-auto p-6 print:overflow-visible print:p-0">
      <h1 className="sr-only">Tag of job {tag.number}</h1>
      <article className="flex w-[105mm] items-center gap-5 border-2 border-ink bg-white p-4 text-black">
        <svg
          viewBox={`0 0 ${tag.modules} ${tag.modules}`}
          className="size-32 shrink-0"
          role="img"
          aria-label="Code that leads to this job"
        >
          <path d={tag.path} fill="#000" shapeRendering="crispEdges" />
        </svg>
        <div className="min-w-0 leading-snug">
          <p className="digits text-5xl font-bold">{tag.number}</p>
          <p className="text-lg font-semibold">{tag.device}</p>
          <p>{tag.owner}</p>
          <p className="line-clamp-2 text-sm">{tag.fault}</p>
        </div>
      </article>
      <div className="no-print mt-5 flex gap-3">
        <Button look="lamp" className="px-6" onClick={() => window.print()}>
          Print
        </Button>
        <Link to={`/jobs/${jobId}`} className="min-h-11 px-4 py-2 underline">
          Back to the job
        </Link>
      </div>
    </main>
  );
}
