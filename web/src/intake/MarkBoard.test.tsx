import { act, fireEvent, render, screen } from "@testing-library/react";
import type { Edge } from "@/edge/useEdge";
import { MarkBoard, type Tool } from "./MarkBoard";

const edge = {
  perimeterMm: 300,
  widthMm: 100,
  heightMm: 50,
  borderMm: 5,
  outline: [
    { atMm: 0, x: 0, y: 0 },
    { atMm: 100, x: 100, y: 0 },
    { atMm: 150, x: 100, y: 50 },
    { atMm: 250, x: 0, y: 50 },
    { atMm: 300, x: 0, y: 0 },
  ],
  inner: [],
  parts: [{ landmark: "TOP", words: "camera edge", fromMm: 0, lengthMm: 100 }],
  corners: [
    { landmark: "TOP_LEFT", words: "corner of hinge and camera edge", x: 0, y: 0 },
    { landmark: "TOP_RIGHT", words: "corner of camera and port edge", x: 100, y: 0 },
    { landmark: "BOTTOM_RIGHT", words: "corner of port and cable edge", x: 100, y: 50 },
    { landmark: "BOTTOM_LEFT", words: "corner of cable and hinge edge", x: 0, y: 50 },
  ],
  features: [],
  borders: [],
  ledges: [],
  marks: [],
} as Edge;

// jsdom draws nothing: one pixel is one millimetre here.
class Dot {
  readonly x: number;
  readonly y: number;
  constructor(x: number, y: number) {
    this.x = x;
    this.y = y;
  }
  matrixTransform = () => this;
}

function board(tool: Tool) {
  const told = { crack: vi.fn(), dent: vi.fn(), bend: vi.fn() };
  vi.stubGlobal("DOMPoint", Dot);
  Object.defineProperty(SVGElement.prototype, "getScreenCTM", { value: () => null, configurable: true });
  render(<MarkBoard edge={edge} tool={tool} onCrack={told.crack} onDent={told.dent} onBend={told.bend} />);
  return { svg: screen.getByRole("img"), told };
}

describe("the board that damage is drawn on", () => {
  afterEach(() => vi.unstubAllGlobals());

  it("tells a crack once it is drawn, point by point", () => {
    const { svg, told } = board("CRACK");
    fireEvent.pointerDown(svg, { clientX: 10, clientY: 0, pointerId: 1 });
    fireEvent.pointerMove(svg, { clientX: 20, clientY: 10 });
    fireEvent.pointerMove(svg, { clientX: 20.1, clientY: 10 });
    fireEvent.pointerMove(svg, { clientX: 30, clientY: 25 });
    expect(told.crack).not.toHaveBeenCalled();
    fireEvent.pointerUp(svg);
    expect(told.crack).toHaveBeenCalledWith([
      { xMm: 10, yMm: 0 },
      { xMm: 20, yMm: 10 },
      { xMm: 30, yMm: 25 },
    ]);
  });

  it("loses no stroke that is over before the screen has drawn any of it", () => {
    const { svg, told } = board("CRACK");
    act(() => {
      fireEvent.pointerDown(svg, { clientX: 10, clientY: 0, pointerId: 1 });
      fireEvent.pointerMove(svg, { clientX: 30, clientY: 25 });
      fireEvent.pointerUp(svg);
    });
    expect(told.crack).toHaveBeenCalledWith([
      { xMm: 10, yMm: 0 },
      { xMm: 30, yMm: 25 },
    ]);
  });

  it("takes a mere tap for no crack", () => {
    const { svg, told } = board("CRACK");
    fireEvent.pointerDown(svg, { clientX: 10, clientY: 5, pointerId: 1 });
    fireEvent.pointerUp(svg);
    expect(told.crack).not.toHaveBeenCalled();
  });

  it("keeps a finger that slips off the glass near it", () => {
    const { svg, told } = board("DENT");
    fireEvent.pointerDown(svg, { clientX: 300, clientY: -20, pointerId: 1 });
    expect(told.dent).toHaveBeenCalledWith({ xMm: 104, yMm: -4 });
  });

  it("names the corner that was tapped by what lies there", () => {
    const { svg, told } = board("BEND");
    fireEvent.pointerDown(svg, { clientX: 90, clientY: 45, pointerId: 1 });
    expect(told.bend).toHaveBeenCalledWith("BOTTOM_RIGHT", "corner of port and cable edge");
  });
});
