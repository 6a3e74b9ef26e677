import { renderHook } from "@testing-library/react";
import { ring } from "@/sound/sound";
import { type Forecast, useForecast } from "./useHeat";
import { momentOf, useMoment } from "./useMoment";

vi.mock("@/sound/sound", () => ({ ring: vi.fn() }));
vi.mock("./useHeat", () => ({ useForecast: vi.fn() }));

const forecast: Pick<Forecast, "moments"> = {
  moments: [
    { kind: "READY", fromSeconds: 180 },
    { kind: "LIMIT", fromSeconds: 240 },
  ],
};

function soak(first: number) {
  vi.mocked(ring).mockClear();
  vi.mocked(useForecast).mockReturnValue(forecast as never);
  return renderHook(({ elapsed }) => useMoment("job", 7, elapsed), { initialProps: { elapsed: first } });
}

describe("where a soak stands", () => {
  it("is soaking, then ready, then near a limit", () => {
    expect([0, 179, 180, 239, 240, 900].map((s) => momentOf(forecast, s))).toEqual([
      "SOAKING",
      "SOAKING",
      "READY",
      "READY",
      "LIMIT",
      "LIMIT",
    ]);
  });

  it("is soaking while nothing is known of it", () => {
    expect(momentOf(undefined, 900)).toBe("SOAKING");
  });

  it("rings at each moment once", () => {
    const { rerender } = soak(170);
    expect(ring).not.toHaveBeenCalled();
    for (const elapsed of [180, 181, 239, 240, 241]) {
      rerender({ elapsed });
    }
    expect(vi.mocked(ring).mock.calls).toEqual([["READY"], ["LATEST"]]);
  });

  it("rings every ten seconds for what is past its limit", () => {
    const { rerender } = soak(239);
    for (let elapsed = 240; elapsed <= 265; elapsed++) {
      rerender({ elapsed });
    }
    expect(vi.mocked(ring).mock.calls).toEqual([["LATEST"], ["LATEST"], ["LATEST"]]);
  });

  it("keeps quiet of what was so when the page was opened", () => {
    const { rerender } = soak(200);
    rerender({ elapsed: 201 });
    expect(ring).not.toHaveBeenCalled();
  });
});
