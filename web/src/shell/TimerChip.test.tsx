import { render, screen } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import type { Schemas } from "@/api/client";
import { TimerChip } from "./TimerChip";

const NOON = "2026-03-02T12:00:00Z";
const shown = vi.hoisted((): { nowS: number; forecast: unknown } => ({ nowS: 0, forecast: undefined }));

vi.mock("@/time/clock", async (original) => ({
  ...(await original<typeof import("@/time/clock")>()),
  useServerSeconds: () => shown.nowS,
}));
vi.mock("@/heat/useHeat", () => ({ useForecast: () => shown.forecast }));
vi.mock("@/sound/sound", () => ({ ring: vi.fn() }));

const SOON = [
  { kind: "READY", fromSeconds: 180 },
  { kind: "LIMIT", fromSeconds: 230 },
];

function show(warmth: Schemas["BenchTimer"]["warmth"], elapsedS: number) {
  shown.nowS = Date.parse(NOON) / 1000 + elapsedS;
  render(
    <MemoryRouter>
      <TimerChip
        timer={{
          jobId: "job-7",
          jobNumber: 7,
          device: "Marrowby Quire 11",
          seq: 20,
          kind: warmth === "RISING" ? "SOAK" : "DRYING",
          warmth,
          words: warmth === "RISING" ? "Soaking" : "Drying",
          startedAt: NOON,
          seconds: 240,
        }}
      />
    </MemoryRouter>,
  );
  return screen.getAllByRole("link").at(-1);
}

describe("a running timer in the shell", () => {
  beforeEach(() => {
    shown.forecast = undefined;
  });

  it("says what for, for which job and how long still, and leads there", () => {
    const chip = show("NONE", 30);
    expect(chip).toHaveTextContent("3:30Drying, job 7");
    expect(chip).toHaveAttribute("href", "/jobs/job-7");
  });

  it("counts on once it is over, and says so in words", () => {
    expect(show("NONE", 252)).toHaveTextContent("+0:12Drying: over, job 7");
  });

  it("says of a soak what the forecast says of now", () => {
    shown.forecast = { moments: SOON };
    expect(show("RISING", 100)).toHaveTextContent("2:20Soaking, job 7");
    expect(show("RISING", 190)).toHaveTextContent("0:50Bond ready, job 7");
    expect(show("RISING", 235)).toHaveTextContent("0:05Off now, job 7");
  });

  it("says to take it off rather than that the time is over", () => {
    shown.forecast = { moments: SOON };
    expect(show("RISING", 260)).toHaveTextContent("+0:20Off now, job 7");
  });
});
