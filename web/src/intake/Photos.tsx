import type { LucideIcon } from "lucide-react";
import { useRef } from "react";
import { api, unwrap } from "@/api/client";
import { useSubmit } from "@/api/useSubmit";
import type { Job } from "@/job/useJob";
import { newId } from "@/live/outbox";
import { ProblemNote } from "@/ui/ProblemNote";

const LONG_SIDE = 1600;

/** Drawn anew here, upright as the camera meant it: what the camera wrote into the file stays at home. */
async function redrawn(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: "from-image" });
  const factor = Math.min(1, LONG_SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(bitmap.width * factor));
  canvas.height = Math.max(1, Math.round(bitmap.height * factor));
  canvas.getContext("2d")?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return new Promise((done, failed) =>
    canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error("no picture"))), "image/jpeg", 0.85),
  );
}

/** Those taken so far, and taking one more. */
export function Photos({ job, icon }: { job: Job; icon: LucideIcon }) {
  return (
    <>
      {job.photos.map((photo) => (
        <a key={photo.id} href={`/api/photos/${photo.id}`} target="_blank" rel="noreferrer">
          <img
            src={`/api/photos/${photo.id}?thumb=true`}
            alt={photo.words ?? "Photo of the device"}
            className="h-11 rounded border-2 border-line"
          />
        </a>
      ))}
      <TakePhoto job={job} icon={icon} id="photos" />
    </>
  );
}

/** @param words what it shows, where that is known before it is taken */
export function TakePhoto({
  job,
  icon: Icon,
  id,
  words,
}: {
  job: Job;
  icon: LucideIcon;
  id: string;
  words?: string | undefined;
}) {
  const input = useRef<HTMLInputElement>(null);
  const { problem, busy, submit } = useSubmit(async (files: File[]) => {
    for (const file of files) {
      // What is no picture goes as it is: the app says what is wrong with it.
      const body = await redrawn(file).catch(() => file);
      unwrap(
        await api.POST("/api/jobs/{jobId}/photos", {
          params: { path: { jobId: job.id }, query: { photoId: newId(), ...(words && { words }) } },
          body: body as unknown as string,
          bodySerializer: (blob: unknown) => blob as Blob,
          headers: { "Content-Type": "image/jpeg" },
        }),
      );
    }
  });
  return (
    <>
      {!job.closed && (
        <label className="flex min-h-11 cursor-pointer items-center gap-2 rounded-md border-2 border-ink bg-sheet px-4">
          <Icon aria-hidden size={18} /> {busy ? "Sending …" : "Photo"}
          <input
            id={id}
            ref={input}
            type="file"
            accept="image/jpeg,image/png"
            capture="environment"
            multiple
            className="sr-only"
            onChange={(e) => {
              void submit([...(e.target.files ?? [])]).then(() => {
                if (input.current) {
                  input.current.value = "";
                }
              });
            }}
          />
        </label>
      )}
      {problem && <ProblemNote problem={problem} />}
    </>
  );
}
