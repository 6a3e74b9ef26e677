import { expect, test } from "vitest";
import { restWords } from "./rest";

test("tape rests for minutes, glue stays clamped for hours", () => {
  expect(restWords(20)).toBe("20 min left alone");
  expect(restWords(1440)).toBe("24 h in clamps");
});
