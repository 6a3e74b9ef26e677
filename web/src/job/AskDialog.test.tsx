import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Schemas } from "@/api/client";
import { AskDialog } from "./AskDialog";

const bend = {
  label: "Bent",
  tone: "OTHER",
  mine: true,
  fact: { type: "BendMarked", corner: "TOP_LEFT", gapMm: 0, bentMm: null },
  asks: [
    {
      field: "gapMm",
      label: "Gap",
      kind: "NUMBER",
      unit: "mm",
      suggestion: null,
      mayBeEmpty: false,
      options: [],
    },
    {
      field: "bentMm",
      label: "Over",
      kind: "NUMBER",
      unit: "mm",
      suggestion: null,
      mayBeEmpty: true,
      options: [],
    },
  ],
  leadsTo: null,
} satisfies Schemas["ChoiceView"];

/** A press that comes at once was meant for what opened it. */
const settled = () => new Promise((resolve) => setTimeout(resolve, 260));

async function told(fields: { [label: string]: string }): Promise<unknown> {
  const record = vi.fn((fact: unknown) => Promise.resolve({ kind: "recorded" as const, fact }));
  render(
    <AskDialog
      jobId="job-1"
      asked={{ title: "Bent", hint: null, choice: bend }}
      units={{ temperature: "C", length: "mm" }}
      record={record as never}
      onClose={vi.fn()}
    />,
  );
  await settled();
  for (const [label, text] of Object.entries(fields)) {
    await userEvent.type(screen.getByLabelText(new RegExp(`^${label}`)), text);
  }
  await userEvent.click(screen.getByRole("button", { name: "Bent" }));
  return record.mock.calls[0]?.[0];
}

describe("what a tap still asks for", () => {
  it("is left as the choice has it where it may stay empty", async () => {
    expect(await told({ Gap: "0,8" })).toEqual({
      type: "BendMarked",
      corner: "TOP_LEFT",
      gapMm: 0.8,
      bentMm: null,
    });
  });

  it("is handed on as typed where it may not, for the core to refuse", async () => {
    expect(await told({ Over: "60" })).toMatchObject({ gapMm: "", bentMm: 60 });
  });
});
