import { fireEvent, render, screen } from "@testing-library/react";
import { HoleFits } from "./HoleFits";

const SCREWS = [
  { words: "{mm:3.2} M1.4, flat, cross 00", now: 0, hiddenNow: 0 },
  { words: "{mm:2.4} M1.4, flat, cross 00", now: 2, hiddenNow: 1 },
];

const LOST = { type: "ScrewTold" as const, holeId: "s9", where: "LOST" as const, words: null };

const HOLE = {
  id: "s9",
  at: { x: 10, y: 20 },
  kind: 1,
  hidden: false,
  lie: "NOW" as const,
  where: null,
  told: null,
  choices: [{ label: "Dropped it", tone: "FAIL" as const, mine: true, fact: LOST, asks: [], leadsTo: null }],
  fits: [
    {
      kind: 0,
      verdict: "TOO_LONG" as const,
      words: "too long by {mm:0.5}: hits what lies behind",
      drive: null,
    },
    { kind: 1, verdict: "FITS" as const, words: "fits: {mm:1.4} hold", drive: null },
  ],
};

describe("a hole that was tapped", () => {
  it("names its own screw first and warns of the long one", () => {
    render(
      <HoleFits
        screws={SCREWS}
        hole={HOLE}
        units={{ temperature: "C", length: "mm" }}
        onTell={() => undefined}
        onClose={() => undefined}
      />,
    );
    const told = screen.getAllByRole("listitem").map((one) => one.textContent);
    expect(told[0]).toMatch(/2\.4 mm.*belongs here/);
    expect(told[1]).toMatch(/too long by 0\.50? mm: hits what lies behind/);
    expect(screen.getByText(/too long/)).toHaveClass("text-alarm");
  });

  it("goes back to all screws", () => {
    const close = vi.fn();
    render(
      <HoleFits
        screws={SCREWS}
        hole={HOLE}
        units={{ temperature: "C", length: "in" }}
        onTell={() => undefined}
        onClose={close}
      />,
    );
    expect(screen.getByText(/too long by 0\.020? in/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "All screws" }));
    expect(close).toHaveBeenCalledOnce();
  });

  it("tells what happened to its screw, and of what fits that it was driven", () => {
    const tell = vi.fn();
    const drive = {
      label: "Drive it",
      tone: "OTHER" as const,
      mine: true,
      fact: {
        type: "ScrewDriven" as const,
        holeId: "s9",
        threadMm: 1.4,
        underHeadMm: 3.2,
        threadLock: false,
      },
      asks: [],
      leadsTo: null,
    };
    const hole = {
      ...HOLE,
      where: "OUT" as const,
      told: "out",
      fits: HOLE.fits.map((fit) => (fit.kind === 0 ? { ...fit, verdict: "FITS" as const, drive } : fit)),
    };
    render(
      <HoleFits
        screws={SCREWS}
        hole={hole}
        units={{ temperature: "C", length: "mm" }}
        onTell={tell}
        onClose={() => undefined}
      />,
    );
    expect(screen.getByText(": out")).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "Dropped it" }));
    expect(tell).toHaveBeenLastCalledWith(hole.choices[0]);
    fireEvent.click(screen.getByRole("button", { name: "Drive it" }));
    expect(tell).toHaveBeenLastCalledWith(drive);
  });
});
