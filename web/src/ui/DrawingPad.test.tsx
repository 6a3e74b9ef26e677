import { act, fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { DrawingPad } from "./DrawingPad";

it("keeps every point of a stroke that is over before the screen has drawn any of it", () => {
  const onDrawn = vi.fn();
  render(<DrawingPad label="Signature" onDrawn={onDrawn} />);
  const pad = screen.getByRole("img");
  vi.spyOn(pad, "getBoundingClientRect").mockReturnValue(new DOMRect(0, 0, 900, 300));
  act(() => {
    fireEvent.pointerDown(pad, { clientX: 10, clientY: 20, pointerId: 1 });
    fireEvent.pointerMove(pad, { clientX: 30, clientY: 40, pointerId: 1 });
    fireEvent.pointerMove(pad, { clientX: 50, clientY: 60, pointerId: 1 });
    fireEvent.pointerUp(pad, { pointerId: 1 });
  });
  expect(onDrawn).toHaveBeenLastCalledWith(JSON.stringify({ strokes: [[10, 20, 30, 40, 50, 60]] }));
});
