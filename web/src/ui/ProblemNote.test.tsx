import { render, screen } from "@testing-library/react";
import { ProblemNote } from "./ProblemNote";

describe("a problem", () => {
  it("says what was given and what is allowed", () => {
    render(
      <ProblemNote
        problem={{ status: 400, title: "Can't take this value", detail: "price is x; allowed: a number" }}
      />,
    );
    expect(screen.getByRole("alert")).toHaveTextContent("Can't take this value");
    expect(screen.getByRole("alert")).toHaveTextContent("price is x; allowed: a number");
  });

  it("names every flaw of a profile by its path", () => {
    render(
      <ProblemNote
        problem={{
          status: 400,
          title: "Can't take this profile",
          detail: "",
          flaws: [
            { path: "ledge/everywhereMm", value: "-3", allowed: "0.3 to 60" },
            { path: "features/port", value: "1 to 4 mm", allowed: "a place of its own" },
          ],
        }}
      />,
    );
    expect(screen.getAllByRole("listitem").map((item) => item.textContent)).toEqual([
      "ledge/everywhereMm is -3; allowed: 0.3 to 60",
      "features/port is 1 to 4 mm; allowed: a place of its own",
    ]);
  });

  it("names every wrong line of a price list", () => {
    render(
      <ProblemNote
        problem={{
          status: 400,
          title: "Can't take this price list",
          detail: "",
          mistakes: [{ line: 7, field: "price", value: "12,50", allowed: "a point and two decimals" }],
        }}
      />,
    );
    expect(screen.getByRole("listitem")).toHaveTextContent("line 7: price is 12,50");
  });

  it("says holds in the reader's units and offers what a lead may do", () => {
    render(
      <ProblemNote
        units={{ temperature: "F", length: "in" }}
        problem={{
          status: 422,
          title: "A hold point stands in the way",
          detail: "",
          holds: [
            {
              id: "heat.limit",
              station: "HEAT",
              stationWords: "Heat",
              because: "too long at {C:80}",
              signOff: null,
            },
          ],
        }}
        signOff={(hold) => <button type="button">sign off {hold.id}</button>}
      />,
    );
    expect(screen.getByRole("listitem")).toHaveTextContent("too long at 176 °F");
    expect(screen.getByRole("button", { name: "sign off heat.limit" })).toBeInTheDocument();
  });
});
