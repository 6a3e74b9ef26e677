import { api, type Schemas, unwrap } from "@/api/client";
import { asText } from "@/api/files";
import { useSubmit } from "@/api/useSubmit";
import { FilePick } from "@/ui/FilePick";
import { ProblemNote } from "@/ui/ProblemNote";
import { useState } from "react";
import type { Screw } from "./placing";

type Mistake = Schemas["Mistake"];

/** Every hole from a table, or to one. A file with a mistake changes nothing; each mistake says its line. */
export function ScrewFile({ deviceId, onScrews }: { deviceId: string; onScrews: (screws: Screw[]) => void }) {
  const [mistakes, setMistakes] = useState<readonly Mistake[]>([]);
  const take = useSubmit(async (file: File) => {
    setMistakes([]);
    const given = unwrap(await api.POST("/api/book-screws", { body: await file.text(), ...asText }));
    setMistakes(given.mistakes);
    if (given.mistakes.length === 0) {
      onScrews(given.screws);
    }
  });
  return (
    <div>
      <div className="flex items-center gap-4">
        <FilePick id="screws-file" accept=".csv,text/csv" onFile={(file) => void take.submit(file)}>
          All screws from CSV
        </FilePick>
        <a className="underline underline-offset-4" href={`/api/book/${deviceId}/screws`}>
          Screws as CSV, as stored
        </a>
      </div>
      {take.problem && <ProblemNote problem={take.problem} />}
      {mistakes.length > 0 && (
        <ul className="mt-1 text-alarm" role="alert">
          {mistakes.map((mistake) => (
            <li key={`${mistake.line} ${mistake.field}`}>
              Line {mistake.line}: {mistake.field} is {mistake.value}; allowed: {mistake.allowed}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
