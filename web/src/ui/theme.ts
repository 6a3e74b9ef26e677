const STORE = "ridgefall.theme";

export type Theme = "light" | "dark";

export function currentTheme(): Theme {
  const stored = localStorage.getItem(STORE);
  if (stored === "light" || stored === "dark") {
    return stored;
  }
  return typeof matchMedia === "function" && matchMedia("(prefers-color-scheme: dark)").matches
    ? "dark"
    : "light";
}

export function applyTheme(theme: Theme = currentTheme()): void {
  document.documentElement.dataset.theme = theme;
}

export function chooseTheme(theme: Theme): void {
  localStorage.setItem(STORE, theme);
  applyTheme(theme);
}
