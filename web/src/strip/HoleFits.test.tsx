import { fireEvent, render, screen } from "@testing-library/react";
import { HoleFits } from "./HoleFits";

const SCREWS = [
  { words: "{mm:3.2} M1.4, flat, cross 00", out: 8, hidden: 0 },
  { words: "{mm:2.4} M1.4, flat, cross 00", out: 2, hidden: 1 },
];

const HOLE = {
  id: "s9",
  at: { x: 10, y: 20 },
  kind: 1,
  hidden: false,
  lie: "NOW" as const,
  fits: [
    { kind: 0, verdict: "TOO_LONG" as const, words: "too long by {mm:0.5}: hits what lies behind" },
    { kind: 1, verdict: "FITS" as const, words: "fits: {mm:1.4} hold" },
  ],
};

describe("a hole that was tapped", () => {
  it("names its own screw first and warns of the long one", () => {
    render(
      <HoleFits
        screws={SCREWS}
        hole={HOLE}
        units={{ temperature: "C", length: "mm" }}
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
      <HoleFits screws={SCREWS} hole={HOLE} units={{ temperature: "C", length: "in" }} onClose={close} />,
    );
    expect(screen.getByText(/too long by 0\.020? in/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "All screws" }));
    expect(close).toHaveBeenCalledOnce();
  });
});
