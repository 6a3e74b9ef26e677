// What a hand or an eye can't get at: controls that lie under others, words that are cut, words on words.
const found = [];
const say = (kind, element, more) => {
  const words = (element.getAttribute?.("aria-label") || element.textContent || "").trim().replace(/\s+/g, " ").slice(0, 60);
  found.push(`${kind}: ${element.tagName.toLowerCase()} “${words}”${more ? " " + more : ""}`);
};
const shown = (element) => {
  const style = getComputedStyle(element);
  if (style.visibility !== "visible" || style.opacity === "0") return false;
  const box = element.getBoundingClientRect();
  // What is kept for those who listen is a pixel large.
  return box.width > 2 && box.height > 2;
};
const clips = (style, axis) => ["hidden", "clip"].includes(axis === "x" ? style.overflowX : style.overflowY);
const scrolls = (style, axis) => ["auto", "scroll"].includes(axis === "x" ? style.overflowX : style.overflowY);
/** The part of a box that is in sight: within every ancestor that scrolls; null where it has to be scrolled to. */
const inSight = (element, box) => {
  let [left, top, right, bottom] = [Math.max(0, box.left), Math.max(0, box.top), Math.min(innerWidth, box.right), Math.min(innerHeight, box.bottom)];
  for (let up = element.parentElement; up; up = up.parentElement) {
    const style = getComputedStyle(up);
    const port = up.getBoundingClientRect();
    // What is kept for later lies wholly outside of what cuts it off: a second row of clocks.
    if (["x", "y"].some((axis) => scrolls(style, axis) || clips(style, axis))) {
      [left, top, right, bottom] = [Math.max(left, port.left), Math.max(top, port.top), Math.min(right, port.right), Math.min(bottom, port.bottom)];
    }
    if (style.position === "fixed") break;
  }
  // A rim of it at the border of what scrolls is on its way, not in sight.
  return right - left > 8 && bottom - top > 12 ? { left, top, right, bottom } : null;
};
const all = [...document.body.querySelectorAll("*")].filter(shown);
const dialog = document.querySelector("[role=dialog]");
const within = (element) => !dialog || dialog.contains(element);

// 1. Words that are cut, on purpose or not.
for (const element of all.filter(within)) {
  const own = [...element.childNodes].filter((node) => node.nodeType === 3 && node.textContent.trim() !== "");
  if (own.length === 0 || element.closest(".sr-only") || element.tagName === "OPTION") continue;
  const svg = element.closest("svg");
  for (const node of own) {
    const range = document.createRange();
    range.selectNodeContents(node);
    const words = svg ? element.getBoundingClientRect() : range.getBoundingClientRect();
    if (words.width < 2) continue;
    for (let up = svg ? svg : element; up; up = up.parentElement) {
      const style = getComputedStyle(up);
      const port = up.getBoundingClientRect();
      if ((scrolls(style, "x") || scrolls(style, "y")) && up !== element) break;
      const kept = ["x", "y"].some((axis) => clips(style, axis)) &&
        (words.top > port.bottom - 3 || words.bottom < port.top + 3 || words.left > port.right - 2 || words.right < port.left + 2);
      if (kept) break;
      if (clips(style, "x") && (words.left < port.left - 1.5 || words.right > port.right + 1.5)) {
        say("cut", element, `at ${Math.round(words.left)}–${Math.round(words.right)} of ${Math.round(port.left)}–${Math.round(port.right)}`);
        break;
      }
      if (clips(style, "y") && (words.top < port.top - 4 || words.bottom > port.bottom + 4)) {
        say("cut below", element, "");
        break;
      }
    }
    if (words.right > innerWidth + 1 && !svg) say("off the window", element, "");
  }
}

// 2. Controls that another thing lies over: at the middle, and near each corner.
const controls = all.filter((e) => within(e) && e.matches("button, a[href], input, select, textarea, [role=button]") && !e.closest("svg"));
for (const control of controls) {
  const box = control.getBoundingClientRect();
  const sight = inSight(control, box);
  if (!sight) continue;
  const [w, h] = [sight.right - sight.left, sight.bottom - sight.top];
  for (const [x, y] of [[0.5, 0.5], [0.15, 0.2], [0.85, 0.2], [0.15, 0.8], [0.85, 0.8]]) {
    const on = document.elementFromPoint(sight.left + x * w, sight.top + y * h);
    const label = control.id && document.querySelector(`label[for="${CSS.escape(control.id)}"]`);
    if (on && on !== control && !control.contains(on) && !on.contains(control) && !(label && label.contains(on))) {
      say("covered", control, `by ${on.tagName.toLowerCase()} “${(on.textContent || "").trim().slice(0, 30)}”`);
      break;
    }
  }
}

// 3. Words on words: two that neither holds the other.
const leaves = all
  .filter((e) => within(e) && !e.closest("svg") && !e.closest(".sr-only"))
  .filter((e) => [...e.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim() !== ""))
  .map((e) => {
    const range = document.createRange();
    range.selectNodeContents(e);
    return { e, boxes: [...range.getClientRects()].filter((b) => b.width > 2 && b.height > 2), sight: inSight(e, e.getBoundingClientRect()) };
  })
  .filter((leaf) => leaf.sight);
for (let i = 0; i < leaves.length; i++) {
  for (let j = i + 1; j < leaves.length; j++) {
    const [a, b] = [leaves[i], leaves[j]];
    if (a.e.contains(b.e) || b.e.contains(a.e)) continue;
    const hit = a.boxes.some((p) =>
      b.boxes.some((q) => {
        const x = Math.min(p.right, q.right, a.sight.right, b.sight.right) - Math.max(p.left, q.left, a.sight.left, b.sight.left);
        const y = Math.min(p.bottom, q.bottom, a.sight.bottom, b.sight.bottom) - Math.max(p.top, q.top, a.sight.top, b.sight.top);
        // A large number's box is taller than its line.
        return x > 3 && y > 0.35 * Math.min(p.height, q.height);
      }),
    );
    if (hit) say("words on words", a.e, `and “${(b.e.textContent || "").trim().slice(0, 40)}”`);
  }
}

// 4. Words that a picture lies over.
for (const { e, boxes, sight } of leaves) {
  const seen = boxes.find((b) => b.left >= sight.left && b.right <= sight.right + 1 && b.top >= sight.top && b.bottom <= sight.bottom + 1);
  if (!seen || getComputedStyle(e).pointerEvents === "none") continue;
  const on = document.elementFromPoint((seen.left + seen.right) / 2, (seen.top + seen.bottom) / 2);
  if (on && on !== e && !e.contains(on) && !on.contains(e) && !on.closest("label, button, a")?.contains(e)) {
    say("words covered", e, `by ${on.tagName.toLowerCase()}`);
  }
}
return [...new Set(found)].slice(0, 40);
