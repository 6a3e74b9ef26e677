import { fireEvent, render, screen } from "@testing-library/react";
import { MishapCard } from "./MishapCard";
import type { Choice, Job } from "./useJob";
import { WrongDialog } from "./WrongDialog";

const MM = { temperature: "C", length: "mm" } as const;

function choice(label: string, mine = true): Choice {
  return { label, mine, asks: [], tone: "OTHER", fact: { type: label } } as unknown as Choice;
}

function show(job: Partial<Job>, pointed: number | null = null) {
  const on = { onMishap: vi.fn(), onDetour: vi.fn(), onClose: vi.fn() };
  const all = {
    atRisk: true,
    whenItGoesWrong: [choice("Slip"), choice("New crack")],
    detours: [choice("Goes back unrepaired"), choice("Note", false)],
    ...job,
  } as unknown as Job;
  render(<WrongDialog open job={all} pointed={pointed} units={MM} {...on} />);
  return on;
}

describe("what is off the straight way", () => {
  it("has a figure for each, mishaps first", () => {
    const on = show({});
    fireEvent.keyDown(document.body, { key: "2" });
    expect(on.onMishap).toHaveBeenCalledWith(expect.objectContaining({ label: "New crack" }));
    fireEvent.keyDown(document.body, { key: "3" });
    expect(on.onDetour).toHaveBeenCalledWith(expect.objectContaining({ label: "Goes back unrepaired" }));
    expect(on.onClose).toHaveBeenCalledTimes(2);
  });

  it("takes nothing that is not the reader's", () => {
    const on = show({});
    fireEvent.keyDown(document.body, { key: "4" });
    expect(on.onDetour).not.toHaveBeenCalled();
    expect(screen.getByRole("button", { name: /Note/ })).toBeDisabled();
  });

  it("offers no mishap where none can happen, and says where one is told", () => {
    show({ atRisk: false });
    expect(screen.queryByRole("button", { name: /Slip/ })).not.toBeInTheDocument();
    show({}, 143);
    expect(screen.getByText(/Told at 143 mm, where you pointed/)).toBeInTheDocument();
  });
});

const JOB = { id: "job-7", closed: true } as Job;

describe("what just went wrong", () => {
  const mishap = {
    seq: 31,
    words: "Slip",
    place: "port edge, {mm:262}",
    positionMm: 262,
    beneath: ["fingerprint key cable"],
    todo: "Look at it",
    told: null,
    latest: true,
    move: { ...choice("It was here"), asks: [{ field: "positionMm", kind: "PLACE" }] },
    tell: choice("Say more"),
  } as unknown as Job["mishaps"][number];

  it("says what lies there and moves to where the finger points with one more tap", () => {
    const onTap = vi.fn();
    render(<MishapCard job={JOB} mishap={mishap} pointed={270} units={MM} onTap={onTap} />);
    expect(screen.getByText(/Slip, port edge, 262 mm/)).toBeInTheDocument();
    expect(screen.getByText(/Beneath: fingerprint key cable/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole("button", { name: "It was here: 270 mm" }));
    expect(onTap).toHaveBeenCalledWith("Slip, port edge, 262 mm", {
      ...mishap.move,
      fact: { type: "It was here", positionMm: 270 },
      asks: [],
    });
  });

  it("does not offer the place it has", () => {
    render(<MishapCard job={JOB} mishap={mishap} pointed={262} units={MM} onTap={vi.fn()} />);
    expect(screen.queryByRole("button", { name: /It was here/ })).not.toBeInTheDocument();
  });
});
