import { cleanup } from "@testing-library/react";
import "@testing-library/jest-dom/vitest";

// What a browser has and jsdom does not.
globalThis.ResizeObserver = class {
  observe = () => undefined;
  unobserve = () => undefined;
  disconnect = () => undefined;
};
Element.prototype.setPointerCapture = () => undefined;
Element.prototype.scrollIntoView = () => undefined;

// All files share one environment, which takes longer to make than all tests to run: each file loads its modules anew, for
// it may stand in for some of them, and what a test has drawn is taken down.
vi.resetModules();
afterEach(cleanup);
