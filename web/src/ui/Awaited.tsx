import { useLineUp } from "@/live/line";

/** What is not here yet: what it is that the server is at, or that it can't be asked. */
export function Awaited({ words }: { words: string }) {
  const lineUp = useLineUp();
  return (
    <p className="text-xl" role="status">
      {lineUp ? `${words} …` : "What stands here needs the line."}
    </p>
  );
}
