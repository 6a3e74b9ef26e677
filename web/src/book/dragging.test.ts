import type { Feature } from "./document";
import { dragged } from "./dragging";

const PERIMETER = 800;
const REACH = 3;
const cable = { id: "cable", fromMm: 100, lengthMm: 20 } as Feature;

const body = (by: number, snap: number[] = []) => dragged(cable, "body", by, snap, PERIMETER, REACH);
const start = (by: number, snap: number[] = []) => dragged(cable, "start", by, snap, PERIMETER, REACH);
const end = (by: number, snap: number[] = []) => dragged(cable, "end", by, snap, PERIMETER, REACH);

describe("dragging along the edge", () => {
  it("goes where the hand goes, to a tenth", () => {
    expect(body(12.34)).toEqual({ fromMm: 112.3 });
  });

  it("is pulled by its start or by its end, whichever is near a place", () => {
    expect(body(12, [110])).toEqual({ fromMm: 110 });
    expect(body(12, [134])).toEqual({ fromMm: 114 });
    expect(body(12, [140])).toEqual({ fromMm: 112 });
  });

  it("goes on round the corner where the edge begins", () => {
    expect(body(-110)).toEqual({ fromMm: 790 });
    expect(body(710)).toEqual({ fromMm: 10 });
  });

  it("is pulled to a place beyond where the edge begins", () => {
    const last = { fromMm: 780, lengthMm: 15 } as Feature;
    expect(dragged(last, "end", 7, [0], PERIMETER, REACH)).toEqual({ lengthMm: 20 });
    expect(dragged(last, "body", 22, [0], PERIMETER, REACH)).toEqual({ fromMm: 0 });
  });

  it("grows and shrinks at the end that is held", () => {
    expect(end(15)).toEqual({ lengthMm: 35 });
    expect(end(15, [137])).toEqual({ lengthMm: 37 });
    expect(start(-15)).toEqual({ fromMm: 85, lengthMm: 35 });
    expect(start(5)).toEqual({ fromMm: 105, lengthMm: 15 });
  });

  it("never shrinks to nothing and never passes its other end", () => {
    expect(start(50)).toEqual({ fromMm: 119, lengthMm: 1 });
    expect(end(-20)).toEqual({ lengthMm: 1 });
    expect(end(-45)).toEqual({ lengthMm: 1 });
  });
});
