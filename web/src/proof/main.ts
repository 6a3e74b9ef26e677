import "./proof.css";
import { type Look, LOOKS, type Told, tried } from "./looks";
import { Outgoing, type Sample } from "./outgoing";

/** What the bench asks the hand for, in this order. */
const TASKS = [
  {
    id: "SWEEP",
    title: "Sweep",
    words: "One finger over all of it, slowly, to the very edge, until no square is left.",
  },
  {
    id: "LINES_SLOW",
    title: "Slow lines",
    words: "Along a ruler, both diagonals, slowly: a hand's width in two seconds.",
  },
  { id: "LINES_FAST", title: "Fast lines", words: "The same two lines, twice as fast." },
  { id: "WATCH", title: "Hands off", words: "Lay it down. Touch nothing for ten seconds." },
  { id: "FINGERS", title: "All fingers", words: "As many fingers as fit, at once, held for a second." },
  {
    id: "PEN_SLOW",
    title: "Slow lines, stylus",
    words: "Both diagonals along a ruler with the stylus, slowly.",
  },
  { id: "PEN_FAST", title: "Fast lines, stylus", words: "The same two with it, twice as fast." },
] as const;
type Task = (typeof TASKS)[number]["id"];

/** The sheet as the server counts its squares: two answers of one finger that are no further apart than joined touched all between. */
interface Page {
  columns: number;
  rows: number;
  joinedPx: number;
  done: Task[];
  looks: (Look | "STYLUS")[];
  looked: Look[];
}

/** So long nothing touched, and a task is over: nobody hits a button on a screen that is dead there. */
const STILL_MS = 3000;
const WATCH_MS = 10_000;

const SEND_MS = 300;

const token = location.hash.slice(1);
const root = document.querySelector<HTMLElement>("#proof") ?? document.body;

const said = (tag: string, text: string, className = ""): HTMLElement => {
  const element = document.createElement(tag);
  element.textContent = text;
  element.className = className;
  return element;
};

const line = said("p", "", "line");
line.setAttribute("role", "status");
const out = new Outgoing(
  async ({ task, seq, samples, last }) => {
    try {
      const answer = await fetch(`/api/touch/${token}/${task}/${seq}`, {
        method: "PUT",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ widthPx: innerWidth, heightPx: innerHeight, samples, last }),
      });
      if (answer.status === 404) {
        over();
      }
      return answer.ok || answer.status === 404;
    } catch {
      return false;
    }
  },
  (kept) => {
    line.textContent =
      kept === 0 ? "" : "The bench can't be reached. What you touched is kept; leave this page open.";
  },
);

function over(): void {
  root.replaceChildren(
    said("h1", "This link is not open"),
    said("p", "It was used up, called off, or is older than half an hour. The bench makes another."),
  );
}

async function begin(): Promise<void> {
  const answer = await fetch(`/api/touch/${token}/${innerWidth}/${innerHeight}`).catch(() => null);
  if (!answer?.ok) {
    over();
    return;
  }
  const page = (await answer.json()) as Page;
  menu(page, new Set([...page.done, ...page.looked]));
}

function menu(page: Page, done: Set<Task | Look>): void {
  root.classList.remove("bright");
  const looks = LOOKS.filter((look) => page.looks.includes(look.id));
  const tasks = TASKS.filter((task) => page.looks.includes("STYLUS") || !task.id.startsWith("PEN"));
  const next = [...tasks, ...looks].find((task) => !done.has(task.id));
  const list = document.createElement("ol");
  const entry = (task: { id: Task | Look; title: string; words: string }, tap: () => void) => {
    const button = document.createElement("button");
    button.type = "button";
    button.className = task === next ? "next" : "";
    button.append(
      said("b", task.title),
      said("span", done.has(task.id) ? "done; tap to do it again" : task.words),
    );
    button.addEventListener("click", tap);
    const item = document.createElement("li");
    item.append(button);
    list.append(item);
  };
  tasks.forEach((task) => entry(task, () => void start(task.id, page, done)));
  looks.forEach((look) => entry(look, () => void tryOut(look.id, page, done)));
  root.replaceChildren(said("h1", next ? "Touch proof" : "All done: look at the bench"), line, list);
}

async function tryOut(look: Look, page: Page, done: Set<Task | Look>): Promise<void> {
  if (await told(look, await tried(look, root))) {
    menu(page, new Set([...done, look]));
  }
}

/** Until it has come through; false where the link is open no more. */
async function told(look: Look, what: Told): Promise<boolean> {
  for (;;) {
    const answer = await fetch(`/api/touch/${token}/looks/${look.toLowerCase()}`, {
      method: "PUT",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(what),
    }).catch(() => null);
    if (answer?.status === 404) {
      over();
      return false;
    }
    if (answer) {
      return true;
    }
    root.replaceChildren(
      said("h1", "The bench can't be reached"),
      said("p", "What was seen is kept; leave this page open."),
    );
    await new Promise((again) => setTimeout(again, 1000));
  }
}

async function start(task: Task, page: Page, done: Set<Task | Look>): Promise<void> {
  // What a reload broke off goes too: its numbers are given again.
  await fetch(`/api/touch/${token}/${task}`, { method: "DELETE" }).catch(() => null);
  out.forget(task);
  const words = TASKS.find((one) => one.id === task)?.words ?? "";
  const sheet = document.createElement("canvas");
  sheet.className = "sheet";
  sheet.width = innerWidth;
  sheet.height = innerHeight;
  sheet.setAttribute("aria-label", words);
  const hint = said("p", words, "hint");
  root.replaceChildren(sheet, hint);
  record(task, sheet, hint, page, () => {
    void out.through().then(() => {
      menu(page, new Set([...done, task]));
    });
  });
}

function record(
  task: Task,
  sheet: HTMLCanvasElement,
  hint: HTMLElement,
  { columns, rows, joinedPx }: Page,
  onDone: () => void,
): void {
  const draw = sheet.getContext("2d");
  const touched = new Set<number>();
  const fingers = new Map<number, { contact: number; x: number; y: number }>();
  const colours = getComputedStyle(document.documentElement);
  const ink = colours.getPropertyValue("--ink");
  const wet = colours.getPropertyValue("--wet");
  let contacts = 0;
  let fresh: Sample[] = [];
  let last = performance.now();
  const began = last;
  let any = false;

  const cell = (x: number, y: number) => {
    const column = Math.floor((x / innerWidth) * columns);
    const row = Math.floor((y / innerHeight) * rows);
    if (column < 0 || row < 0 || column >= columns || row >= rows || touched.has(row * columns + column)) {
      return;
    }
    touched.add(row * columns + column);
    if (draw && task === "SWEEP") {
      draw.fillStyle = wet;
      draw.fillRect(
        (column * innerWidth) / columns,
        (row * innerHeight) / rows,
        innerWidth / columns,
        innerHeight / rows,
      );
    }
  };
  if (draw && task === "SWEEP") {
    draw.strokeStyle = ink;
    draw.globalAlpha = 0.35;
    for (let column = 1; column < columns; column++) {
      draw.strokeRect((column * innerWidth) / columns, -2, 0, innerHeight + 4);
    }
    for (let row = 1; row < rows; row++) {
      draw.strokeRect(-2, (row * innerHeight) / rows, innerWidth + 4, 0);
    }
    draw.globalAlpha = 1;
  }

  const sample = (event: PointerEvent) => {
    const finger = fingers.get(event.pointerId);
    if (!finger) {
      return;
    }
    const tenths = (px: number) => Math.round(px * 10) / 10;
    fresh.push([
      Math.round(event.timeStamp * 100) / 100,
      tenths(event.clientX),
      tenths(event.clientY),
      finger.contact,
    ]);
    cell(event.clientX, event.clientY);
    const apart = Math.hypot(event.clientX - finger.x, event.clientY - finger.y);
    if (apart <= joinedPx) {
      cell((event.clientX + finger.x) / 2, (event.clientY + finger.y) / 2);
    }
    if (draw) {
      draw.strokeStyle = ink;
      draw.lineWidth = 2;
      draw.beginPath();
      draw.moveTo(finger.x, finger.y);
      draw.lineTo(event.clientX, event.clientY);
      draw.stroke();
    }
    finger.x = event.clientX;
    finger.y = event.clientY;
    last = performance.now();
  };
  sheet.addEventListener("pointerdown", (event) => {
    any = true;
    hint.hidden = true;
    fingers.set(event.pointerId, { contact: ++contacts, x: event.clientX, y: event.clientY });
    sample(event);
  });
  // As often as the layer answers, where the browser tells; else once a picture, with what came between.
  const moves = "onpointerrawupdate" in sheet ? "pointerrawupdate" : "pointermove";
  sheet.addEventListener(moves, (event) => {
    const move = event as PointerEvent;
    const between = typeof move.getCoalescedEvents === "function" ? move.getCoalescedEvents() : [];
    (between.length > 0 ? between : [move]).forEach(sample);
  });
  for (const up of ["pointerup", "pointercancel"] as const) {
    sheet.addEventListener(up, (event) => {
      // A finger that is only held says nothing else between down and up.
      if (task === "FINGERS") {
        sample(event);
      }
      fingers.delete(event.pointerId);
      last = performance.now();
    });
  }
  const clock = setInterval(() => {
    const now = performance.now();
    if (fresh.length > 0) {
      out.put(task, fresh);
      fresh = [];
    }
    if (task === "WATCH" && !any) {
      hint.textContent = `Touch nothing: ${Math.max(0, Math.ceil((WATCH_MS - (now - began)) / 1000))}`;
    }
    const full = task === "SWEEP" && touched.size === columns * rows;
    const still = any && fingers.size === 0 && now - last > (full ? SEND_MS : STILL_MS);
    if (task === "WATCH" ? now - began > WATCH_MS : still) {
      clearInterval(clock);
      out.put(task, fresh, true);
      onDone();
    }
  }, SEND_MS);
}

void begin();
