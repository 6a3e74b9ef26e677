import clsx from "clsx";
import { Check, FileText, X } from "lucide-react";
import { useEffect, useState } from "react";
import { type Decision, useDecision } from "./useDecision";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { duration, say } from "@/units/units";
import { money, percent } from "@/units/money";
import { Button } from "@/ui/Button";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { Awaited } from "@/ui/Awaited";

type Option = Decision["options"][number];
type Quote = Option["quotes"][number];

/** What could cure it, the cheapest in the end first; one price, and why. */
export function DecidePanel({ job, ask, prefer }: PanelProps) {
  const units = useUnits();
  const decision = useDecision(job.id, job.seq);
  const [looked, setLooked] = useState<string | null>(null);
  const [grade, setGrade] = useState<Quote["grade"] | null>(null);
  const option =
    decision?.options.find((o) => o.repairId === (looked ?? decision.agreedRepairId)) ?? decision?.options[0];
  const quote = option?.quotes.find((q) => q.grade === (grade ?? decision?.agreedGrade)) ?? option?.quotes[0];
  const stepId = decision?.stepId;
  const agree = quote?.agree;
  useEffect(() => {
    prefer(stepId && agree ? { stepId, choice: agree } : null);
    return () => prefer(null);
  }, [prefer, stepId, agree]);
  if (!decision) {
    return <Awaited words="Weighing the repairs" />;
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <div className="flex flex-wrap gap-2" role="group" aria-label="Repairs">
        {decision.options.map((o) => (
          <Button
            key={o.repairId}
            aria-pressed={o.repairId === option?.repairId}
            className="flex items-center gap-2 aria-pressed:bg-ink aria-pressed:text-sheet"
            onClick={() => setLooked(o.repairId)}
          >
            {o.cures ? (
              <Check aria-label="cures it" size={18} />
            ) : (
              <X aria-label="does not cure it" size={18} />
            )}
            {o.words}
          </Button>
        ))}
      </div>
      <ScrollRegion label="Repair" className="space-y-4">
        {option && (
          <OptionDetail
            job={job}
            option={option}
            inHand={quote}
            decision={decision}
            ask={ask}
            onTake={(one) => setGrade(one.grade)}
          />
        )}
        <Worth decision={decision} ask={ask} closed={job.closed} />
        {decision.notes.length > 0 && (
          <ul className="list-disc space-y-1 pl-5">
            {decision.notes.map((note) => (
              <li key={note}>{say(note, units)}</li>
            ))}
          </ul>
        )}
      </ScrollRegion>
    </div>
  );
}

function OptionDetail({
  job,
  option,
  inHand: best,
  decision,
  ask,
  onTake,
}: {
  job: PanelProps["job"];
  option: Option;
  /** The quote that the large action agrees. */
  inHand: Quote | undefined;
  decision: Decision;
  ask: PanelProps["ask"];
  onTake: (quote: Quote) => void;
}) {
  return (
    <>
      <div className="flex items-start gap-6">
        <p className="shrink-0 leading-none">
          <span className="digits text-5xl font-bold">{best ? money(best.total) : "no price"}</span>
          <span className="mt-2 block text-lg">
            {best
              ? `${duration(best.activeMinutes * 60)} of hands, ${duration(best.waitingMinutes * 60)} of waiting`
              : `no ${option.parts.join(", ")} is known for it`}
          </span>
        </p>
        <ul className="min-w-0 flex-1 leading-snug">
          {option.because.map((why) => (
            <li key={why}>– {why}</li>
          ))}
          <li>– old front: {option.oldFront}</li>
        </ul>
      </div>
      {option.quotes.length > 0 && (
        <table className="w-full">
          <caption className="sr-only">Quotes by grade of part</caption>
          <thead>
            <tr className="text-left text-quiet">
              <th className="font-normal">grade</th>
              <th className="text-right font-normal">part</th>
              <th className="text-right font-normal max-lg:hidden">risk</th>
              <th className="text-right font-normal">together</th>
              <th className="font-normal" />
            </tr>
          </thead>
          <tbody>
            {option.quotes.map((quote) => (
              <QuoteRow
                key={quote.grade}
                job={job}
                option={option}
                quote={quote}
                inHand={quote === best}
                decision={decision}
                ask={ask}
                onTake={() => onTake(quote)}
              />
            ))}
          </tbody>
        </table>
      )}
      {option.fates.length > 0 && (
        <table className="w-full">
          <caption className="sr-only">What becomes of the functions</caption>
          <tbody>
            {option.fates.map((fate) => (
              <tr key={fate.function} className="border-t border-line align-top">
                <th scope="row" className="py-1 pr-3 text-left font-semibold">
                  {fate.function}
                </th>
                <td
                  className={clsx(
                    "py-1 pr-3 whitespace-nowrap",
                    fate.fate !== "KEPT" && "font-semibold text-alarm",
                  )}
                >
                  {fate.fate === "KEPT" ? "kept" : fate.fate === "AT_RISK" ? "at risk" : "lost"}
                </td>
                <td className="py-1">
                  {fate.how}
                  {!fate.worked && <span className="text-quiet"> (did not work, or was not tested)</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** By how many there are of what it needs. */
const LIES = ["to order", "the last one on the shelf", "on the shelf"];

function QuoteRow({
  job,
  option,
  quote,
  inHand,
  decision,
  ask,
  onTake,
}: {
  job: PanelProps["job"];
  option: Option;
  quote: Quote;
  inHand: boolean;
  decision: Decision;
  ask: PanelProps["ask"];
  onTake: () => void;
}) {
  const agreed = decision.agreedRepairId === option.repairId && decision.agreedGrade === quote.grade;
  return (
    <tr
      className={clsx(
        "border-t border-line align-top",
        inHand && "bg-sheet outline-2 -outline-offset-2 outline-ink",
      )}
      aria-current={inHand || undefined}
    >
      <th scope="row" className="py-2 pr-2 pl-2 text-left leading-snug font-semibold">
        <button
          type="button"
          className="min-h-11 text-left underline-offset-4 hover:underline"
          onClick={onTake}
        >
          {quote.gradeWords}
          <span className="block font-normal text-quiet">
            {quote.supplier}, {LIES[Math.min(quote.onTheShelf, 2)]}
          </span>
        </button>
        <span className="font-normal lg:hidden">
          <Risk quote={quote} />
        </span>
        {quote.missing.length > 0 && (
          <span className="block font-normal text-alarm" title={quote.missing.join("\n")}>
            {quote.missing.map((missing) => missing.split(":")[0]).join(", ")}
          </span>
        )}
      </th>
      <td className="digits py-2 text-right">{quote.lines[0] && money(quote.lines[0].amount)}</td>
      <td className="py-2 pl-2 text-right max-lg:hidden">
        <Risk quote={quote} />
      </td>
      <td className="digits py-2 pl-3 text-right text-xl font-bold">{money(quote.total)}</td>
      <td className="py-1 pr-2 pl-3">
        <span className="flex justify-end gap-2">
          <a
            href={`/api/jobs/${job.id}/quote?repairId=${option.repairId}&grade=${quote.grade}`}
            target="_blank"
            rel="noreferrer"
            className="grid min-h-11 w-11 place-items-center rounded-md border-2 border-line"
            aria-label={`Quote as PDF, ${quote.gradeWords}`}
          >
            <FileText aria-hidden />
          </a>
          {agreed ? (
            <span className="flex min-h-11 items-center font-semibold text-done">✓ agreed</span>
          ) : (
            <Button
              disabled={!quote.agree.mine || job.closed}
              onClick={() =>
                ask({ title: `${option.words}, ${quote.gradeWords}`, hint: null, choice: quote.agree })
              }
            >
              Agreed
            </Button>
          )}
        </span>
      </td>
    </tr>
  );
}

function Worth({ decision, ask, closed }: { decision: Decision; ask: PanelProps["ask"]; closed: boolean }) {
  const { worth, priceOfAnother } = decision;
  const words = {
    UNKNOWN: "Worth it?",
    WORTH_IT: "Worth it",
    DOUBTFUL: "Doubtful",
    NOT_WORTH_IT: "Not worth it",
  }[worth.verdict];
  return (
    <div className="flex items-center gap-4 border-t-2 border-line pt-3">
      <p className="min-w-0 flex-1 leading-snug">
        <b className={clsx("text-xl", worth.verdict === "NOT_WORTH_IT" && "text-alarm")}>{words}</b>:{" "}
        {worth.because}
        {worth.replacement && <>; another one costs {money(worth.replacement)}</>}
        {worth.breakEvenPart && worth.breakEvenPart.amount > 0 && (
          <>; even when the part costs {money(worth.breakEvenPart)}</>
        )}
        .
      </p>
      <Button
        disabled={!priceOfAnother.mine || closed}
        onClick={() =>
          ask({ title: "What another one costs", hint: "used, in like condition", choice: priceOfAnother })
        }
      >
        {priceOfAnother.label}
      </Button>
    </div>
  );
}

/** Both chances, with where they are from; their range on touch. */
function Risk({ quote: { breaks, comesBack } }: { quote: Quote }) {
  const range = ({ p10, p90 }: Quote["breaks"]) => `${percent(p10)} to ${percent(p90)}`;
  return (
    <span className="leading-snug" title={`Breaks: ${range(breaks)}; comes back: ${range(comesBack)}`}>
      <span className="block whitespace-nowrap">breaks {percent(breaks.mean)}</span>
      <span className="block whitespace-nowrap">comes back {percent(comesBack.mean)}</span>
      <span className="block text-sm text-quiet">
        {breaks.jobs === 0
          ? "common practice"
          : `${breaks.cases} and ${comesBack.cases} of ${breaks.jobs} here`}
      </span>
    </span>
  );
}
