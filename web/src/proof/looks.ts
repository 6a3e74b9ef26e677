import { rise, spread, tilt, type Vector } from "./measures";

/** What the device is tried for beside its touch layer, in this order. */
export const LOOKS = [
  {
    id: "PICTURE",
    title: "Picture",
    words: "Seven fields of one colour. Tap for the next; hold where you see something.",
  },
  { id: "LIGHT", title: "Light sensor", words: "A white field. A hand over the top edge: does it dim?" },
  { id: "SOUND", title: "Sound", words: "Three tones, heard by its own microphone where it may listen." },
  { id: "CAMERA", title: "Front camera", words: "Its picture, then a finger on the lens." },
  { id: "MOTION", title: "Motion", words: "Flat on the bench, then stood upright." },
] as const;
export type Look = (typeof LOOKS)[number]["id"];

export type Told = { readonly [field: string]: unknown };

const FIELDS = [
  ["black", "#000"],
  ["white", "#fff"],
  ["red", "#f00"],
  ["green", "#0f0"],
  ["blue", "#00f"],
  ["grey", "#808080"],
  ["dark grey", "#202020"],
] as const;

/** A finger that rests so long means the place, not the next field. */
const HELD_MS = 600;

const TONES_HZ = [440, 1000, 2500];
const TONE_MS = 700;
const QUIET_MS = 900;

const CAMERA_MS = 7000;
const FLAT_MS = 3000;
const UPRIGHT_MS = 6000;

const element = (tag: string, text: string, className = ""): HTMLElement => {
  const made = document.createElement(tag);
  made.textContent = text;
  made.className = className;
  return made;
};

/** A choice as a large button. */
function choice(words: string, tap: () => void): HTMLButtonElement {
  const button = document.createElement("button");
  button.type = "button";
  button.append(element("b", words));
  button.addEventListener("click", tap);
  return button;
}

const waits = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

/** Puts the look on the page, and answers with what it told. */
export function tried(look: Look, root: HTMLElement): Promise<Told> {
  switch (look) {
    case "PICTURE":
      return picture(root);
    case "LIGHT":
      return light(root);
    case "SOUND":
      return sound(root);
    case "CAMERA":
      return camera(root);
    case "MOTION":
      return motion(root);
  }
}

function picture(root: HTMLElement): Promise<Told> {
  return new Promise((done) => {
    const field = element("div", "", "field");
    const hint = element("p", "", "field-hint");
    const spots: { x: number; y: number; field: string }[] = [];
    let at = 0;
    let held: ReturnType<typeof setTimeout> | undefined;
    const show = () => {
      const [name, colour] = FIELDS[at] ?? FIELDS[0];
      field.replaceChildren();
      field.style.background = colour;
      field.setAttribute("aria-label", `${name}, field ${at + 1} of ${FIELDS.length}`);
      hint.textContent = at === 0 ? "Tap: next field. Hold where you see something." : "";
    };
    field.setAttribute("role", "img");
    field.addEventListener("pointerdown", (event) => {
      const x = event.clientX / innerWidth;
      const y = event.clientY / innerHeight;
      held = setTimeout(() => {
        held = undefined;
        spots.push({ x, y, field: FIELDS[at]?.[0] ?? "" });
        const ring = element("span", "", "spot");
        ring.style.left = `${100 * x}%`;
        ring.style.top = `${100 * y}%`;
        field.append(ring);
      }, HELD_MS);
    });
    field.addEventListener("pointerup", () => {
      if (held === undefined) {
        return;
      }
      clearTimeout(held);
      held = undefined;
      at++;
      if (at < FIELDS.length) {
        show();
      } else {
        done({ fields: FIELDS.length, spots });
      }
    });
    field.addEventListener("contextmenu", (event) => event.preventDefault());
    show();
    root.replaceChildren(field, hint);
  });
}

function light(root: HTMLElement): Promise<Told> {
  return new Promise((done) => {
    root.replaceChildren(
      element("h1", "A hand over the top edge"),
      element(
        "p",
        "Brightness set to follow the light. Cover the top edge with a hand and count to five: does the picture dim?",
      ),
      choice("It dims", () => done({ dims: true })),
      choice("It stays as bright", () => done({ dims: false })),
    );
    root.classList.add("bright");
  });
}

function sound(root: HTMLElement): Promise<Told> {
  return new Promise((done) => {
    const says = element("p", "Loud enough to be heard across the bench. The page asks for its microphone.");
    const play = choice("Play three tones", () => {
      play.disabled = true;
      void listened(says).then((told) => {
        if (told) {
          done(told);
          return;
        }
        says.textContent = "It may not listen to itself. Did you hear three tones?";
        play.remove();
        root.append(
          choice("Heard all three", () => done({ quietDb: null, toneDb: null, heard: true })),
          choice("Not heard", () => done({ quietDb: null, toneDb: null, heard: false })),
        );
      });
    });
    root.replaceChildren(element("h1", "Sound"), says, play);
  });
}

/** Plays the tones, with its own microphone open where it may; null where it may not. */
async function listened(says: HTMLElement): Promise<Told | null> {
  const audio = new AudioContext();
  const heard = await microphone();
  try {
    await audio.resume();
    const ear = audio.createAnalyser();
    ear.fftSize = 8192;
    ear.smoothingTimeConstant = 0;
    if (heard) {
      audio.createMediaStreamSource(heard).connect(ear);
    }
    says.textContent = "Quiet, please …";
    const quiet = await levels(ear, TONES_HZ, QUIET_MS);
    says.textContent = "Tones …";
    const tones: number[] = [];
    for (const hz of TONES_HZ) {
      const tone = audio.createOscillator();
      tone.frequency.value = hz;
      tone.connect(audio.destination);
      tone.start();
      tones.push(...(await levels(ear, [hz], TONE_MS)));
      tone.stop();
    }
    return heard ? { ...rise(quiet, tones), heard: null } : null;
  } finally {
    heard?.getTracks().forEach((track) => track.stop());
    await audio.close();
  }
}

/** What it hears as it is: nothing taken out of it that is not a voice. */
async function microphone(): Promise<MediaStream | null> {
  // Only where the page came by TLS does a browser have one to give.
  if (!("mediaDevices" in navigator)) {
    return null;
  }
  return navigator.mediaDevices
    .getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false } })
    .catch(() => null);
}

/** The loudest at each pitch meanwhile, dB. */
async function levels(ear: AnalyserNode, pitchesHz: readonly number[], ms: number): Promise<number[]> {
  const bins = new Float32Array(ear.frequencyBinCount);
  const most = pitchesHz.map(() => -200);
  const until = performance.now() + ms;
  while (performance.now() < until) {
    await waits(60);
    ear.getFloatFrequencyData(bins);
    pitchesHz.forEach((hz, i) => {
      const bin = Math.round((hz * ear.fftSize) / ear.context.sampleRate);
      const near = Math.max(...bins.subarray(bin - 1, bin + 2));
      most[i] = Math.max(most[i] ?? -200, Number.isFinite(near) ? near : -200);
    });
  }
  return most;
}

async function camera(root: HTMLElement): Promise<Told> {
  const stream =
    "mediaDevices" in navigator
      ? await navigator.mediaDevices.getUserMedia({ video: { facingMode: "user" } }).catch(() => null)
      : null;
  if (!stream) {
    return byEye(root);
  }
  const video = document.createElement("video");
  video.muted = true;
  video.playsInline = true;
  video.className = "seen";
  video.srcObject = stream;
  const says = element("p", "Look into it.");
  root.replaceChildren(element("h1", "Front camera"), says, video);
  await video.play();
  const canvas = document.createElement("canvas");
  canvas.width = 64;
  canvas.height = 48;
  const draw = canvas.getContext("2d", { willReadFrequently: true });
  let open = 0;
  let contrast = 0;
  let covered = 255;
  const began = performance.now();
  for (let passed = 0; passed < CAMERA_MS; passed = performance.now() - began) {
    await waits(150);
    draw?.drawImage(video, 0, 0, canvas.width, canvas.height);
    const frame = spread(draw?.getImageData(0, 0, canvas.width, canvas.height).data ?? []);
    if (passed > CAMERA_MS / 3) {
      says.textContent = "Now a finger on the lens.";
      covered = Math.min(covered, frame.mean);
    }
    if (frame.mean > open) {
      open = frame.mean;
    }
    contrast = Math.max(contrast, frame.deviation);
  }
  stream.getTracks().forEach((track) => track.stop());
  return { open, covered, contrast, seen: null };
}

function byEye(root: HTMLElement): Promise<Told> {
  return new Promise((done) => {
    const told = (seen: boolean) => done({ open: null, covered: null, contrast: null, seen });
    root.replaceChildren(
      element("h1", "Front camera"),
      element(
        "p",
        "This page may not look through it. Open the device's own camera: is there a clear picture?",
      ),
      choice("A clear picture", () => told(true)),
      choice("None, or not clear", () => told(false)),
    );
  });
}

/** Asked for by a tap: some browsers tell of motion only then. */
function motion(root: HTMLElement): Promise<Told> {
  return new Promise((done) => {
    const says = element("p", "Lay it flat, picture up, before you begin. Hold its front in place.");
    const begin = choice("It lies flat", () => {
      begin.remove();
      void moved(says).then((pulls) => {
        if (pulls.length > 0) {
          done({ tiltedDeg: tilt(pulls), turned: null });
          return;
        }
        says.textContent = "Its browser tells nothing of it. Turn it: does its picture turn with it?";
        root.append(
          choice("It turns", () => done({ tiltedDeg: null, turned: true })),
          choice("It does not", () => done({ tiltedDeg: null, turned: false })),
        );
      });
    });
    root.replaceChildren(element("h1", "Motion"), says, begin);
  });
}

/** Which way it is pulled, as its sensor says; nothing where the browser may not tell. */
async function moved(says: HTMLElement): Promise<Vector[]> {
  const pulls: Vector[] = [];
  const asks = (globalThis as { DeviceMotionEvent?: { requestPermission?: () => Promise<string> } })
    .DeviceMotionEvent;
  if (asks?.requestPermission && (await asks.requestPermission().catch(() => "denied")) !== "granted") {
    return pulls;
  }
  const hear = (event: DeviceMotionEvent) => {
    const pull = event.accelerationIncludingGravity;
    if (pull && pull.x !== null && pull.y !== null && pull.z !== null) {
      pulls.push([pull.x, pull.y, pull.z]);
    }
  };
  addEventListener("devicemotion", hear);
  says.textContent = "Leave it flat …";
  await waits(FLAT_MS);
  if (pulls.length > 0) {
    says.textContent = "Now stand it upright.";
    await waits(UPRIGHT_MS);
  }
  removeEventListener("devicemotion", hear);
  return pulls;
}
