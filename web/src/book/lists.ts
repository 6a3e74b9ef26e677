import { FEATURE_KINDS } from "./document";
import type { Column } from "./ListEditor";

const SYMPTOMS = [
  "CRACKED_GLASS",
  "DEAD_TOUCH",
  "GHOST_TOUCH",
  "FLICKER",
  "DEAD_PICTURE",
  "PALE_PATCH",
  "LOOSE_FRONT",
  "BROKEN_CLIP",
] as const;
const BRINGS = [
  "TAPE",
  "DIE_CUT_RING",
  "CAMERA_BRACKET",
  "MAGNETS",
  "INSULATION",
  "HOME_KEY",
  "SENSOR_INSERT",
  "ANTENNA",
  "CLIPS",
  "GASKET",
  "CHIP",
  "DISPLAY_CABLE",
] as const;

const ID: Column = { field: "id", label: "id", kind: "text" };
const WORDS: Column = { field: "words", label: "called", kind: "text", wide: true };
const HINT: Column = { field: "hint", label: "how", kind: "text", wide: true };

interface List {
  title: string;
  columns: readonly Column[];
  fresh: Record<string, unknown>;
}

/** What lies on the edge of one variant alone. */
export const VARIANT_FEATURES: List = {
  title: "On the edge",
  columns: [
    ID,
    WORDS,
    { field: "kind", label: "kind", kind: "choose", options: FEATURE_KINDS },
    { field: "fromMm", label: "from, mm", kind: "number" },
    { field: "lengthMm", label: "length, mm", kind: "number" },
    { field: "depthMm", label: "no deeper, mm", kind: "number", mayBeNone: true },
    { field: "hazard", label: "slip, 0 to 1", kind: "number" },
    { field: "consequence", label: "what then", kind: "text", wide: true },
    { field: "keepsTapeOff", label: "no tape", kind: "tick" },
  ],
  fresh: {
    words: "new feature",
    kind: "ANTENNA",
    fromMm: 10,
    lengthMm: 10,
    depthMm: 2,
    hazard: 0.5,
    consequence: "",
    keepsTapeOff: false,
  },
};

/** Where border or ledge is not as wide as elsewhere. */
export const EXCEPTIONS: Omit<List, "title"> = {
  columns: [
    { field: "fromMm", label: "from, mm", kind: "number" },
    { field: "lengthMm", label: "length, mm", kind: "number" },
    { field: "valueMm", label: "wide there, mm", kind: "number" },
  ],
  fresh: { fromMm: 0, lengthMm: 10, valueMm: 2 },
};

/** What becomes of the functions with one repair. */
export const FATES: Omit<List, "title"> = {
  columns: [
    { field: "functionId", label: "function", kind: "text" },
    { field: "fate", label: "is", kind: "choose", options: ["KEPT", "AT_RISK", "LOST"] },
    { field: "how", label: "how, or why", kind: "text", wide: true },
  ],
  fresh: { functionId: "picture", fate: "KEPT", how: "" },
};

/** What the lists of a profile are made of, by their names in it. */
export const LISTS = {
  functions: {
    title: "Functions",
    columns: [
      ID,
      WORDS,
      { field: "testableWhen", label: "can be tested", kind: "several", options: ["OPEN", "CLOSED"] },
      { field: "failsAs", label: "failing means", kind: "choose", options: SYMPTOMS, mayBeNone: true },
    ],
    fresh: { words: "new function", testableWhen: ["OPEN", "CLOSED"], failsAs: null },
  },
  connectors: {
    title: "Plugs",
    columns: [
      ID,
      WORDS,
      {
        field: "family",
        label: "family",
        kind: "choose",
        options: ["FLEX", "PRESS_PLUG", "FLIP_LATCH", "SLIDE_IN_PLUG", "FLAP_SOCKET", "COAX_PLUG"],
      },
      { field: "latchSide", label: "latch opens", kind: "text", mayBeNone: true },
      { field: "stackOrder", label: "order, 1 lowest", kind: "number" },
      { field: "seatingProof", label: "home when", kind: "text", mayBeNone: true },
      { field: "needsIsolation", label: "battery out first", kind: "tick" },
    ],
    fresh: {
      words: "new plug",
      family: "PRESS_PLUG",
      latchSide: null,
      stackOrder: 1,
      seatingProof: null,
      needsIsolation: true,
    },
  },
  screws: {
    title: "Screws",
    columns: [
      ID,
      { field: "xMm", label: "x, mm", kind: "number" },
      { field: "yMm", label: "y, mm", kind: "number" },
      { field: "driver", label: "driver", kind: "text" },
      { field: "lengthMm", label: "length, mm", kind: "number" },
      { field: "head", label: "head", kind: "text" },
      { field: "layer", label: "layer", kind: "number" },
      { field: "hidden", label: "hidden", kind: "tick" },
      { field: "laterLayer", label: "later layer", kind: "tick" },
    ],
    fresh: {
      xMm: 10,
      yMm: 10,
      driver: "cross 00",
      lengthMm: 3,
      head: "flat",
      layer: 1,
      hidden: false,
      laterLayer: false,
    },
  },
  shields: {
    title: "Shields",
    columns: [
      ID,
      WORDS,
      { field: "hold", label: "held", kind: "choose", options: ["SLIDES", "HOOKED", "GLUED", "SCREWED"] },
    ],
    fresh: { words: "new shield", hold: "SLIDES" },
  },
  carryOvers: {
    title: "Carry over",
    columns: [
      ID,
      WORDS,
      HINT,
      { field: "irreplaceable", label: "can't be replaced", kind: "tick" },
      {
        field: "brings",
        label: "needless if the part brings",
        kind: "choose",
        options: BRINGS,
        mayBeNone: true,
      },
    ],
    fresh: { words: "new part", hint: "", irreplaceable: false, brings: null },
  },
  pairedParts: {
    title: "Paired parts",
    columns: [
      ID,
      WORDS,
      HINT,
      { field: "method", label: "kept by", kind: "choose", options: ["COPY_DATA", "MOVE_BOARD"] },
      { field: "functionId", label: "function", kind: "text" },
    ],
    fresh: { words: "new paired part", hint: "", method: "COPY_DATA", functionId: "picture" },
  },
  covers: {
    title: "Films and liners",
    columns: [ID, WORDS, HINT, { field: "kind", label: "kind", kind: "choose", options: ["FILM", "LINER"] }],
    fresh: { words: "new film", hint: "", kind: "FILM" },
  },
  repairs: {
    title: "Repairs",
    columns: [
      ID,
      WORDS,
      { field: "activeMinutes", label: "min of hands", kind: "number" },
      { field: "waitingMinutes", label: "min of waiting", kind: "number" },
      {
        field: "oldFront",
        label: "old front",
        kind: "choose",
        options: ["SCRAP", "SAVE", "DATA_SOURCE", "DONOR"],
      },
      {
        field: "parts",
        label: "parts",
        kind: "several",
        options: [
          "GLASS_WITH_TOUCH",
          "PANEL",
          "FUSED_FRONT",
          "CLIPPED_FRONT",
          "TOUCH_GLASS",
          "OPTICAL_LIQUID",
          "DIE_CUT_ADHESIVE",
        ],
      },
      { field: "cures", label: "cures", kind: "several", options: SYMPTOMS },
      { field: "needs", label: "the part should bring", kind: "several", options: BRINGS },
    ],
    fresh: {
      words: "new repair",
      parts: ["FUSED_FRONT"],
      cures: ["CRACKED_GLASS"],
      needs: [],
      activeMinutes: 60,
      waitingMinutes: 30,
      fates: [],
      oldFront: "SCRAP",
    },
  },
  variants: {
    title: "Variants",
    columns: [ID, WORDS, { field: "massKg", label: "mass, kg", kind: "number", mayBeNone: true }],
    fresh: {
      words: "new variant",
      massKg: null,
      features: [],
      functions: [],
      connectors: [],
      carryOvers: [],
      pairedParts: [],
      without: [],
    },
  },
} satisfies Record<string, List>;

export type ListName = keyof typeof LISTS;
