import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { type Column, ListEditor } from "./ListEditor";

const COLUMNS: Column[] = [
  { field: "id", label: "id", kind: "text" },
  { field: "lengthMm", label: "length", kind: "number" },
  { field: "depthMm", label: "depth", kind: "number", mayBeNone: true },
  { field: "hidden", label: "hidden", kind: "tick" },
  { field: "hold", label: "held", kind: "choose", options: ["SLIDES", "GLUED"] },
  { field: "cures", label: "cures", kind: "several", options: ["FLICKER", "DEAD_PICTURE"] },
];

type Entries = Record<string, unknown>[];

function show(first: Entries) {
  let latest = first;
  function Editor() {
    const [entries, setEntries] = useState(first);
    return (
      <ListEditor
        title="Screws"
        entries={entries}
        columns={COLUMNS}
        fresh={{ lengthMm: 3, depthMm: null, hidden: false, hold: "SLIDES", cures: [] }}
        onChange={(next) => {
          latest = next;
          setEntries(next);
        }}
      />
    );
  }
  render(<Editor />);
  return () => latest;
}

const one = { id: "a", lengthMm: 4, depthMm: 2, hidden: false, hold: "SLIDES", cures: ["FLICKER"] };

describe("a list of the book", () => {
  it("adds entries with ids of their own and removes them", async () => {
    const entries = show([]);
    await userEvent.click(screen.getByRole("button", { name: "Add to Screws" }));
    await userEvent.click(screen.getByRole("button", { name: "Add to Screws" }));
    expect(entries().map((e) => e["id"])).toEqual(["screws", "screws-2"]);
    await userEvent.click(screen.getByRole("button", { name: "Remove screws" }));
    expect(entries().map((e) => e["id"])).toEqual(["screws-2"]);
  });

  it("keeps numbers as numbers, a comma for a point, and nothing as none", async () => {
    const entries = show([one]);
    await userEvent.clear(screen.getByLabelText("length"));
    await userEvent.type(screen.getByLabelText("length"), "2,5");
    await userEvent.clear(screen.getByLabelText("depth"));
    expect(entries()[0]).toMatchObject({ lengthMm: 2.5, depthMm: null });
  });

  it("hands on what is no number, for the check to name it", async () => {
    const entries = show([one]);
    await userEvent.clear(screen.getByLabelText("length"));
    await userEvent.type(screen.getByLabelText("length"), "long");
    expect(entries()[0]).toMatchObject({ lengthMm: "long" });
  });

  it("ticks, chooses one and chooses several", async () => {
    const entries = show([one]);
    await userEvent.click(screen.getByLabelText("hidden"));
    await userEvent.selectOptions(screen.getByLabelText("held"), "GLUED");
    await userEvent.click(screen.getByLabelText("dead picture"));
    await userEvent.click(screen.getByLabelText("flicker"));
    expect(entries()[0]).toMatchObject({ hidden: true, hold: "GLUED", cures: ["DEAD_PICTURE"] });
  });
});
