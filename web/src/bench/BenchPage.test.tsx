import { render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import type { Schemas } from "@/api/client";
import { BenchPage } from "./BenchPage";

const NOON_S = Date.parse("2026-03-02T12:00:00Z") / 1000;
const shown = vi.hoisted((): { may: string[]; bench: unknown; timers: unknown; nowS: number } => ({
  may: ["WORK_AT_THE_BENCH"],
  bench: {},
  timers: [],
  nowS: 0,
}));

vi.mock("./useBench", () => ({
  useBench: () => ({ data: shown.bench }),
  useClocks: () => ({ data: { timers: shown.timers } }),
}));
vi.mock("@/session/useSession", () => ({
  useSession: () => ({ data: { me: { may: shown.may } } }),
  useUnits: () => ({ temperature: "C", length: "mm" }),
}));
vi.mock("@/time/clock", async (original) => ({
  ...(await original<typeof import("@/time/clock")>()),
  useServerSeconds: () => shown.nowS,
}));

type BenchJob = Schemas["BenchJob"];

const STATIONS = ["INTAKE", "HEAT", "SEAL"] as BenchJob["station"][];

function job(number: number, values: Partial<BenchJob> = {}): BenchJob {
  return {
    id: `job-${number}`,
    number,
    device: "Marrowby Quire 11",
    owner: `Hut ${number}`,
    fault: "cracked",
    station: "HEAT",
    stationWords: "Heat",
    nextStep: "Warm the bond",
    waitsFor: "HANDS",
    atDesk: false,
    mishaps: 0,
    openedAt: "2026-03-02T08:00:00Z",
    touchedAt: "2026-03-02T11:00:00Z",
    touchedBy: "Ansa Orrick",
    partDue: null,
    promisedOn: null,
    handedOverAt: null,
    ...values,
  };
}

function timer(jobNumber: number, seconds: number): Schemas["BenchTimer"] {
  return {
    jobId: `job-${jobNumber}`,
    jobNumber,
    device: "Marrowby Quire 11",
    seq: 20,
    kind: "SOAK",
    warmth: "RISING",
    words: "Soaking",
    startedAt: "2026-03-02T12:00:00Z",
    seconds,
  };
}

interface Shown extends Partial<Schemas["BenchView"]> {
  timers?: Schemas["BenchTimer"][];
}

function show({ timers = [], ...bench }: Shown, nowS = NOON_S, may = ["WORK_AT_THE_BENCH"]) {
  shown.bench = {
    serverTime: "",
    stations: STATIONS,
    open: [],
    atHomeForAWeek: [],
    closed: [],
    ...bench,
  };
  shown.timers = timers;
  shown.nowS = nowS;
  shown.may = may;
  render(
    <MemoryRouter>
      <BenchPage />
    </MemoryRouter>,
  );
}

const groups = () => screen.getAllByRole("region").map((group) => group.getAttribute("aria-label"));

describe("the bench", () => {
  it("says what to do where nothing lies on it", () => {
    show({});
    expect(screen.getByText(/Nothing lies on the bench/)).toBeInTheDocument();
    expect(screen.queryByRole("region")).not.toBeInTheDocument();
  });

  it("keeps apart what needs hands, what waits and what is done", () => {
    show({
      open: [job(1), job(2, { waitsFor: "TIMER" }), job(3, { atDesk: true })],
      atHomeForAWeek: [],
      closed: [job(4, { handedOverAt: "2026-03-01T12:00:00Z" })],
      timers: [timer(2, 240)],
    });
    expect(groups()).toEqual([
      "Needs hands at the bench",
      "Needs the front desk",
      "Waits for a timer",
      "Handed over",
    ]);
    const waiting = within(screen.getByRole("region", { name: "Waits for a timer" }));
    expect(waiting.getByText("Hut 2")).toBeInTheDocument();
    expect(waiting.getByText("4:00")).toBeInTheDocument();
  });

  it("calls for hands once the timer is over, whatever the server knew when it was asked", () => {
    const bench = { open: [job(2, { waitsFor: "TIMER" })], timers: [timer(2, 240)] };
    show(bench, NOON_S + 240);
    expect(groups()).toEqual(["Needs hands at the bench"]);
  });

  it("puts what is stopped above everything and parts that are due by their day, late ones said", () => {
    show({
      open: [
        job(1),
        job(2, { waitsFor: "PART", partDue: "2026-03-09" }),
        job(3, { waitsFor: "PART", partDue: "2026-03-01", promisedOn: "2026-03-04" }),
        job(4, { waitsFor: "LEAD" }),
        job(5, { waitsFor: "OWNER" }),
      ],
    });
    expect(groups()).toEqual([
      "Stopped: a lead looks at it",
      "Needs hands at the bench",
      "Waits for a part",
      "Waits for its owner",
    ]);
    const parts = within(screen.getByRole("region", { name: "Waits for a part" }));
    expect(parts.getAllByRole("link").map((link) => link.textContent)).toEqual([
      expect.stringContaining("Hut 3"),
      expect.stringContaining("Hut 2"),
    ]);
    expect(parts.getByText(/due .*, late/)).toBeInTheDocument();
    expect(parts.getByText(/promised/)).not.toHaveTextContent("late");
  });

  it("puts what the desk can do first at the desk", () => {
    show({ open: [job(1), job(3, { atDesk: true })] }, NOON_S, []);
    expect(groups()).toEqual(["Needs the front desk", "Needs hands at the bench"]);
  });

  it("leads to the work of an open job and to the record of one handed over", () => {
    show({ open: [job(1)], atHomeForAWeek: [], closed: [job(4, { handedOverAt: "2026-03-01T12:00:00Z" })] });
    expect(screen.getByRole("link", { name: /Hut 1/ })).toHaveAttribute("href", "/jobs/job-1");
    expect(screen.getByRole("link", { name: /Hut 4/ })).toHaveAttribute("href", "/jobs/job-4/record");
  });
});
