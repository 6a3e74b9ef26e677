import clsx from "clsx";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { ProblemError } from "@/api/client";
import { BondPanel } from "@/bond/BondPanel";
import { ProposeCorrection } from "@/book/ProposeCorrection";
import { CarryPanel } from "@/carry/CarryPanel";
import { CleanPanel } from "@/clean/CleanPanel";
import { DecidePanel } from "@/decide/DecidePanel";
import { EdgePanel } from "@/edge/EdgePanel";
import type { View } from "@/edge/useEdge";
import { about, FaultPanel, useFaults } from "@/fault/FaultPanel";
import { HeatPanel } from "@/heat/HeatPanel";
import { IntakePanel } from "@/intake/IntakePanel";
import { PartsPanel } from "@/parts/PartsPanel";
import { HandOverPanel } from "@/prove/HandOverPanel";
import { LeakPanel } from "@/prove/LeakPanel";
import { SealPanel } from "@/seal/SealPanel";
import { ClipPanel } from "@/separate/ClipPanel";
import { SeparatePanel } from "@/separate/SeparatePanel";
import { StripPanel } from "@/strip/StripPanel";
import { TestPanel } from "@/test/TestPanel";
import { TestPlan } from "@/test/TestPlan";
import { useMay } from "@/session/useMay";
import { useUnits } from "@/session/useSession";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";
import { Cautions } from "./Cautions";
import { AskDialog, type Asked } from "./AskDialog";
import type { PanelProps } from "./panel";
import { type Fact, filled } from "./filled";
import { HelpDialog } from "./HelpDialog";
import { JournalPanel } from "./JournalPanel";
import { MishapCard } from "./MishapCard";
import { ResumeCard } from "./ResumeCard";
import { type LargeAction, largeAction, type Preferred } from "./largeAction";
import { NextBar } from "./NextBar";
import { OvertakenDialog } from "./OvertakenDialog";
import { SignOff } from "./SignOff";
import { StepList } from "./StepList";
import { StopDialog } from "./StopDialog";
import { StopSteps } from "./StopSteps";
import { WrongDialog } from "./WrongDialog";
import { type Choice, type Hold, type Job, type Record, type Station, type Step, useJob } from "./useJob";
import { useKeys } from "./useKeys";
import { useQuestion } from "./useQuestion";

export function JobPage() {
  const { jobId = "" } = useParams();
  return <Workspace key={jobId} jobId={jobId} />;
}

function Workspace({ jobId }: { jobId: string }) {
  const { job, error, record, unheard, stuck } = useJob(jobId);
  const units = useUnits();
  const mayPropose = useMay("PROPOSE_CORRECTIONS");
  const [chosen, setChosen] = useState<Station | null>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [refusal, setRefusal] = useState<ProblemError["problem"] | null>(null);
  const [pointed, setPointed] = useState<number | null>(null);
  const [view, setView] = useState<View>({ quarterTurns: 0, faceDown: false });
  const [help, setHelp] = useState(false);
  const [wrong, setWrong] = useState(false);
  /** The number up to which the reader has seen how it lies there. */
  const [resumed, setResumed] = useState<string | null>(null);
  const [asking, setAsking] = useState<string | null>(null);
  const [preferred, setPreferred] = useState<Preferred | null>(null);
  const [opened, setOpened] = useState<"stop" | "reasons" | null>(null);

  const next = job?.steps.find((step) => step.id === job.nextStepId);
  const told = unheard.at(-1);
  const at = next ?? job?.steps.find((step) => step.id === told?.stepId);
  const shown: Station = chosen ?? at?.station ?? job?.station ?? "PROVE";
  const action: LargeAction = largeAction(next ?? null, shown, asking, told, preferred);
  // What a choice would record may be reckoned anew with every look; the question is what is read.
  const question = useQuestion(
    JSON.stringify([action.kind, next?.id, next?.title, next?.answer, next?.hint, preferred?.choice.label]),
  );
  // What was opened closes by itself once another screen has changed what it was about.
  const open = opened === action.kind ? opened : null;

  const tell: Record = async (fact, words, step, then) => {
    setRefusal(null);
    const fate = await record(fact, words, step, then);
    if (fate.kind === "refused" && fate.problem.status !== 409) {
      setRefusal(fate.problem);
    }
    return fate;
  };
  /** The same of what a panel tells beside the question. */
  const beside: Record = async (fact, words, step, then) =>
    question.counts(false) ? tell(fact, words, step, then) : { kind: "ignored" };
  const choose = (step: Step, choice: Choice) => {
    if (action.kind === "waits") {
      question.refuse();
      return;
    }
    if (!question.counts(step.id === next?.id)) {
      return;
    }
    setAsking(null);
    if (choice.asks.length > 0) {
      setAsked({ title: step.title, hint: step.hint, choice, step });
    } else {
      void tell(choice.fact, `${step.title}: ${choice.label}`, step, choice.leadsTo);
      // Whoever answers the next step wants to see the one after it.
      if (step.id === next?.id) {
        setChosen(null);
      }
    }
  };
  const signOff = (hold: Hold) =>
    hold.signOff && (
      <SignOff
        hold={hold}
        onAsk={(asked) => {
          setRefusal(null);
          setAsked(asked);
        }}
      />
    );
  const go = () => {
    if (action.kind === "record") {
      choose(action.step, action.choice);
    } else if (action.kind === "waits" || action.kind === "runs" || action.kind === "none") {
      question.refuse();
    } else if (question.counts(true)) {
      lead(action);
    }
  };
  const lead = (action: LargeAction) => {
    switch (action.kind) {
      case "back":
        setChosen(null);
        break;
      case "again":
        setAsking(action.step.id);
        break;
      case "stop":
      case "reasons":
        setOpened(action.kind);
        break;
      default:
    }
  };
  const undo = () => {
    if (unheard.length > 0) {
      // What it would take back is not the latest any more.
      question.refuse();
    } else if (job?.undo?.choice.mine) {
      void beside(job.undo.choice.fact, `${job.undo.choice.label}: ${job.undo.words}`);
    }
  };
  const mishap = (what: Choice) => {
    const fact = filled(what, { positionMm: pointed ?? undefined });
    const moved = unheard.length > 0 && pointed === null;
    // What is in hand the server knows better once it has heard what was told before.
    void beside(moved ? ({ ...fact, positionMm: null, stepId: null } as Fact) : fact, what.label);
  };
  const cell = (sign: Choice) => {
    // What to do is shown at once and at the station in hand, wherever one looked ahead to.
    setChosen(null);
    setOpened("stop");
    void tell(sign.fact, sign.label, undefined, sign.leadsTo);
  };
  /** A tap that belongs to no step. */
  const aside = (title: string, choice: Choice) => {
    setRefusal(null);
    if (choice.asks.length > 0) {
      setAsked({ title, hint: null, choice });
    } else {
      void beside(choice.fact, `${title}: ${choice.label}`);
    }
  };

  useKeys({
    enabled: asked === null && !help && !wrong && open === null,
    action,
    go,
    choose,
    refuse: question.refuse,
    undo,
    mishap,
    mishaps: job?.atRisk ? job.whenItGoesWrong : [],
    cell:
      job?.cellSigns[0] && action.kind !== "stop" ? () => job.cellSigns[0] && cell(job.cellSigns[0]) : null,
    timers: job?.timers ?? [],
    onWrong: () => setWrong(job?.closed === false),
    onSeen: () => setRefusal(null),
    onHelp: () => setHelp(true),
    onStation: (by) => {
      const stations = job?.stations.map((s) => s.id) ?? [];
      const to = stations[stations.indexOf(shown) + by];
      if (to) {
        setChosen(to);
      }
    },
  });

  if (error instanceof ProblemError && !error.passing) {
    return (
      <main className="p-8">
        <ProblemNote problem={error.problem} />
      </main>
    );
  }
  if (!job) {
    return <main className="p-8 text-xl">…</main>;
  }

  const resume = job.resume && job.resume.at !== resumed ? job.resume : null;
  const pending = new Set(unheard.map((tap) => tap.stepId).filter((id) => id !== next?.id));
  const panel: PanelProps = {
    job,
    record: beside,
    choose,
    pointed,
    onPoint: setPointed,
    view,
    onView: setView,
    signOff,
    ask: setAsked,
    prefer: setPreferred,
    reasons: open === "reasons",
    onReasonsSeen: () => setOpened(null),
  };

  return (
    <>
      <Stations job={job} shown={shown} onShow={(station) => setChosen(station)} />
      <main className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_min(29rem,38.5vw)]">
        <h1 className="sr-only">
          Job {job.number}, {job.device} of {job.owner}: {job.stations.find((s) => s.id === shown)?.words}
        </h1>
        <section
          className="flex min-h-0 min-w-0 flex-col overflow-y-auto px-5 pt-3 pb-3"
          aria-label="Station"
        >
          {action.kind === "stop" ? (
            <StopSteps step={action.step} />
          ) : (
            <StationPanel station={shown} {...panel} />
          )}
        </section>
        <section
          className="flex min-h-0 flex-col gap-2 overflow-auto border-l-2 border-line px-3 py-3"
          aria-label="Steps"
        >
          <Cautions cautions={job.stations.find((s) => s.id === shown)?.cautions ?? []} units={units} />
          {resume && <ResumeCard resume={resume} units={units} onSeen={() => setResumed(resume.at)} />}
          {job.mishaps
            .filter((one) => one.latest)
            .map((one) => (
              <MishapCard
                key={one.seq}
                job={job}
                mishap={one}
                pointed={pointed}
                units={units}
                onTap={aside}
              />
            ))}
          <StepList
            steps={job.steps.filter((step) => step.station === shown)}
            nextId={next?.id ?? null}
            pending={pending}
            stuck={stuck}
            waits={action.kind === "waits"}
            units={units}
            closed={job.closed}
            still={resume !== null}
            onChoose={choose}
          />
          {mayPropose && !job.closed && <ProposeCorrection jobId={job.id} />}
        </section>
      </main>
      {refusal && (
        <div
          className="flex max-h-[36vh] shrink-0 items-start gap-3 overflow-auto bg-deep px-4 pt-3"
          data-refused
        >
          <div className="min-w-0 flex-1">
            <ProblemNote problem={refusal} units={units} signOff={signOff} />
          </div>
          <Button onClick={() => setRefusal(null)}>
            Seen <kbd className="digits rounded border border-current px-1.5 text-xs">esc</kbd>
          </Button>
        </div>
      )}
      <NextBar
        job={job}
        action={action}
        unheard={unheard.length}
        stuck={stuck}
        question={question}
        units={units}
        onGo={go}
        onChoose={choose}
        onUndo={undo}
        onMishap={mishap}
        onCell={cell}
        onWrong={() => setWrong(true)}
        onHelp={() => setHelp(true)}
      />
      <AskDialog jobId={jobId} asked={asked} units={units} record={record} onClose={() => setAsked(null)} />
      <OvertakenDialog jobId={jobId} seq={job.seq} units={units} />
      <HelpDialog open={help} onClose={() => setHelp(false)} />
      <WrongDialog
        open={wrong}
        job={job}
        pointed={pointed}
        units={units}
        onMishap={mishap}
        onDetour={(way) => aside(`Job ${job.number}`, way)}
        onClose={() => setWrong(false)}
      />
      <StopDialog
        step={open === "stop" ? (next ?? null) : null}
        job={job}
        onTell={(sign) => question.counts(false) && cell(sign)}
        onChoose={(step, choice) => {
          setOpened(null);
          choose(step, choice);
        }}
        onClose={() => setOpened(null)}
      />
    </>
  );
}

/** Screws and plugs go back, or are looked for, in the open device. */
const BACK_INSIDE = /^(seal\.(screws|lost-)|test\.(home-|plugged|screws|battery-held))/;

function StationPanel({ station, ...panel }: PanelProps & { station: Station }) {
  const next = panel.job.nextStepId ?? "";
  const inside =
    BACK_INSIDE.test(next) && panel.job.steps.some((s) => s.id === next && s.station === station);
  const faults = useFaults(panel.job.id, panel.job.seq, next);
  const fault = panel.job.steps.some((s) => s.id === next && s.station === station)
    ? about(faults, next)
    : undefined;
  if (fault) {
    return <FaultPanel fault={fault} />;
  }
  switch (station) {
    case "INTAKE":
      return <IntakePanel {...panel} />;
    case "DECIDE":
      return <DecidePanel {...panel} />;
    case "PARTS":
      return <PartsPanel {...panel} />;
    case "HEAT":
      return panel.job.bonded ? <HeatPanel {...panel} /> : <EdgePanel {...panel} />;
    case "SEPARATE":
      return panel.job.bonded ? <SeparatePanel {...panel} /> : <ClipPanel {...panel} />;
    case "STRIP":
      return <StripPanel {...panel} />;
    case "CARRY":
      return <CarryPanel {...panel} />;
    case "CLEAN":
      return panel.job.bonded ? <CleanPanel {...panel} /> : <EdgePanel {...panel} />;
    case "BOND":
      return <BondPanel {...panel} />;
    case "TEST":
      return inside ? (
        <StripPanel {...panel} />
      ) : (
        <TestPanel {...panel} otherwise={<TestPlan job={panel.job} />} />
      );
    case "SEAL":
      return inside ? <StripPanel {...panel} /> : <SealPanel {...panel} />;
    case "PROVE":
      return inTheTester(panel.job) ? (
        <LeakPanel {...panel} />
      ) : handsOver(panel.job) ? (
        <HandOverPanel {...panel} />
      ) : (
        <TestPanel {...panel} otherwise={<HandOverPanel {...panel} />} />
      );
    default:
      return <JournalPanel {...panel} />;
  }
}

/** A watch whose functions are proven and whose seal is not, or that lies in the tester. */
function inTheTester(job: Job): boolean {
  const step = job.steps.find((one) => one.id === "prove.seal-tested");
  return (
    step !== undefined &&
    (step.waitsFor !== null || step.problem || (step.answer === null && job.nextStepId === "prove.hand-over"))
  );
}

function handsOver(job: Job): boolean {
  return job.closed || job.nextStepId === "prove.hand-over";
}

function Stations({ job, shown, onShow }: { job: Job; shown: Station; onShow: (s: Station) => void }) {
  return (
    <nav aria-label="Stations" className="flex shrink-0 overflow-x-auto border-b-2 border-line bg-sheet">
      <Link
        to="/"
        className="flex min-w-36 items-center gap-2 px-3 leading-tight hover:bg-ground"
        title={`${job.device}: ${job.fault}`}
      >
        <span className="line-clamp-3 text-[0.82rem] leading-tight">
          <b className="block">
            <span className="digits">{job.number}</span> · {job.device}
          </b>{" "}
          {job.owner}
        </span>
      </Link>
      {job.stations.map((station) => {
        // A device that goes back as it is does not go through all of them.
        const skipped = station.total === 0;
        const complete = !skipped && station.done === station.total;
        const current = station.id === job.station;
        return (
          <button
            key={station.id}
            type="button"
            aria-current={shown === station.id ? "step" : undefined}
            onClick={() => onShow(station.id)}
            className={clsx(
              "flex min-h-13 flex-1 flex-col items-center justify-center border-t-4 px-1.5 text-[0.9rem] whitespace-nowrap",
              complete ? "border-free" : current ? "border-lamp" : "border-bond",
              shown === station.id ? "bg-ink text-sheet" : "hover:bg-ground",
            )}
          >
            <span className={clsx(current && "font-bold")}>{station.words}</span>
            <span className="digits text-xs">
              {skipped ? "–" : complete ? "✓" : `${station.done}/${station.total}`}
              <span className="sr-only"> {skipped ? "not gone through" : "done"}</span>
            </span>
          </button>
        );
      })}
    </nav>
  );
}
