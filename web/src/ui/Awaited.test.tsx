import { render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { useLineUp } from "@/live/line";
import { Awaited } from "./Awaited";

vi.mock("@/live/line");

it("says what is being reckoned while the line is up, and that it needs the line while it is not", () => {
  vi.mocked(useLineUp).mockReturnValue(true);
  const { rerender } = render(<Awaited words="Reckoning the liquid" />);
  expect(screen.getByRole("status").textContent).toBe("Reckoning the liquid …");
  vi.mocked(useLineUp).mockReturnValue(false);
  rerender(<Awaited words="Reckoning the liquid" />);
  expect(screen.getByRole("status").textContent).toBe("What stands here needs the line.");
});
