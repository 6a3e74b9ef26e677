import "@testing-library/jest-dom/vitest";

// What a browser has and jsdom does not.
globalThis.ResizeObserver = class {
  observe = () => undefined;
  unobserve = () => undefined;
  disconnect = () => undefined;
};
Element.prototype.setPointerCapture = () => undefined;
Element.prototype.scrollIntoView = () => undefined;
