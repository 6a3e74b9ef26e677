import { fireEvent, render, screen } from "@testing-library/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useState } from "react";
import type { Edge } from "@/edge/useEdge";
import type { Document } from "./document";
import { EdgeEditor } from "./EdgeEditor";
import type { Draft } from "./useDraft";

/** A square of 100 mm whose band is drawn 1200 px wide: 3 px a millimetre. */
const edge = {
  perimeterMm: 400,
  widthMm: 100,
  heightMm: 100,
  borderMm: 5,
  outline: [
    { atMm: 0, x: 0, y: 0 },
    { atMm: 100, x: 100, y: 0 },
    { atMm: 200, x: 100, y: 100 },
    { atMm: 300, x: 0, y: 100 },
    { atMm: 400, x: 0, y: 0 },
  ],
  inner: [],
  corners: [],
  parts: [
    { landmark: "TOP", words: "camera edge", fromMm: 0, lengthMm: 100 },
    { landmark: "RIGHT", words: "port edge", fromMm: 100, lengthMm: 100 },
    { landmark: "BOTTOM", words: "cable edge", fromMm: 200, lengthMm: 100 },
    { landmark: "LEFT", words: "key edge", fromMm: 300, lengthMm: 100 },
  ],
  features: [],
  borders: [{ fromMm: 0, lengthMm: 400, widthMm: 5 }],
  ledges: [{ fromMm: 0, lengthMm: 400, widthMm: 2 }],
  marks: [],
} as Edge;

const cable = {
  id: "cable",
  kind: "CABLE",
  words: "display cable",
  fromMm: 20,
  lengthMm: 30,
  depthMm: 1,
  hazard: 0.8,
  consequence: "",
  keepsTapeOff: false,
};

function show() {
  let latest: Document = {
    features: [cable],
    screws: [],
    confidence: { "": "GUESS" },
  } as unknown as Document;
  const wrong = { flaws: [] as Draft["flaws"] };
  function Editor() {
    const [document, setDocument] = useState(latest);
    const draft = {
      document,
      flaws: wrong.flaws,
      change: (next: (now: Document) => Document) =>
        setDocument((now) => {
          latest = next(now);
          return latest;
        }),
    } as unknown as Draft;
    return <EdgeEditor draft={draft} edge={edge} />;
  }
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Editor />
    </QueryClientProvider>,
  );
  return { feature: () => latest.features[0], all: () => latest.features };
}

const onBand = () => screen.getByRole("button", { name: /^display cable, from/ });

function drag(from: number, to: number) {
  fireEvent.pointerDown(onBand(), { clientX: from * 3, pointerId: 1 });
  fireEvent.pointerMove(onBand(), { clientX: to * 3 });
  fireEvent.pointerUp(onBand());
}

describe("what lies on the edge", () => {
  it("is dragged by its middle and keeps its length", () => {
    const { feature } = show();
    drag(35, 135);
    expect(feature()).toMatchObject({ fromMm: 120, lengthMm: 30 });
  });

  it("snaps with either end to corners and middles of edges", () => {
    const { feature } = show();
    drag(35, 16.5);
    expect(feature()?.fromMm).toBe(0);
    drag(15, 83.5);
    // Its end comes near the corner at 100.
    expect(feature()).toMatchObject({ fromMm: 70, lengthMm: 30 });
  });

  it("is stretched by its ends", () => {
    const { feature } = show();
    drag(49, 61);
    expect(feature()).toMatchObject({ fromMm: 20, lengthMm: 42 });
    drag(21, 31);
    expect(feature()).toMatchObject({ fromMm: 30, lengthMm: 32 });
  });

  it("runs over position 0", () => {
    const { feature } = show();
    drag(35, 5);
    expect(feature()?.fromMm).toBe(390);
  });

  it("is nudged by keys: a tenth, a millimetre, its length", () => {
    const { feature } = show();
    fireEvent.keyDown(onBand(), { key: "ArrowRight" });
    fireEvent.keyDown(onBand(), { key: "ArrowRight", shiftKey: true });
    fireEvent.keyDown(onBand(), { key: "ArrowLeft", altKey: true });
    expect(feature()).toMatchObject({ fromMm: 21.1, lengthMm: 29.9 });
  });

  it("is mirrored to the other side of the upright middle", () => {
    const { feature } = show();
    fireEvent.click(screen.getByRole("button", { name: /Mirror/ }));
    // 20 to 50 of the 100 mm top edge becomes 50 to 80.
    expect(feature()).toMatchObject({ fromMm: 50, lengthMm: 30 });
  });

  it("is typed, to nothing where only the border limits a tool", () => {
    const { feature } = show();
    fireEvent.change(screen.getByLabelText(/^From/), { target: { value: "12,5" } });
    fireEvent.change(screen.getByLabelText(/^Tool no deeper than/), { target: { value: "" } });
    expect(feature()).toMatchObject({ fromMm: 12.5, depthMm: null });
    fireEvent.change(screen.getByLabelText(/^From/), { target: { value: "far" } });
    expect(feature()?.fromMm).toBe(12.5);
  });

  it("is added and removed", () => {
    const { all } = show();
    fireEvent.click(screen.getByRole("button", { name: /Add/ }));
    expect(all()).toHaveLength(2);
    expect(all()[1]?.id).toBe("feature");
    fireEvent.click(screen.getByRole("button", { name: /Remove/ }));
    expect(all()).toHaveLength(1);
  });
});
