import {
  carryOverOffByValues,
  connectorFamilyValues,
  connectorRoleValues,
  coverKindValues,
  featureKindValues,
  functionFateFateValues,
  functionTestableWhenValues,
  insideHoldValues,
  insideKindValues,
  pairedPartMethodValues,
  repairNeedsValues as BRINGS,
  repairOldFrontValues,
  repairCuresValues as SYMPTOMS,
  repairPartsValues,
} from "@/api/schema";
import type { Document } from "./document";
import type { Column } from "./ListEditor";

/** All that can lie over something or be held: the front, what lies inside, parts to carry over. */
export const things = (document: Document) => [
  "front",
  ...document.inside.map((thing) => thing.id),
  ...document.carryOvers.map((part) => part.id),
];
const functions = (document: Document) => document.functions.map((one) => one.id);

/** Numbers of a row, in words; none for what nobody has looked at. */
const PLACE: Column = {
  field: "place",
  label: "at x y, mm",
  kind: "numbers",
  names: ["xMm", "yMm"],
  mayBeNone: true,
};
const AREA: Column = {
  field: "area",
  label: "at x y, wide, high, mm",
  kind: "numbers",
  names: ["xMm", "yMm", "widthMm", "heightMm"],
  mayBeNone: true,
};
const COVERED: Column = { field: "coveredBy", label: "covered by", kind: "several", options: things };

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
    { field: "kind", label: "kind", kind: "choose", options: featureKindValues },
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

/** Plastic, paint or film that a solvent must not meet. */
export const PLASTICS: Omit<List, "title"> = {
  columns: [
    ID,
    WORDS,
    { field: "fromMm", label: "from, mm", kind: "number" },
    { field: "lengthMm", label: "length, mm", kind: "number" },
    { field: "inwardMm", label: "off the ledge, mm", kind: "number" },
  ],
  fresh: { words: "plastic", fromMm: 0, lengthMm: 10, inwardMm: 0 },
};

/** Soldered joints of a board that moves. */
export const JOINTS: Omit<List, "title"> = {
  columns: [ID, WORDS, { ...PLACE, mayBeNone: false }],
  fresh: { words: "joint", place: { xMm: 10, yMm: 10 } },
};

/** What becomes of the functions with one repair. */
export const FATES: Omit<List, "title"> = {
  columns: [
    { field: "functionId", label: "function", kind: "choose", options: functions },
    { field: "fate", label: "is", kind: "choose", options: functionFateFateValues },
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
      { field: "testableWhen", label: "can be tested", kind: "several", options: functionTestableWhenValues },
      { field: "failsAs", label: "failing means", kind: "choose", options: SYMPTOMS, mayBeNone: true },
    ],
    fresh: { words: "new function", testableWhen: ["OPEN", "CLOSED"], failsAs: null },
  },
  connectors: {
    title: "Plugs",
    columns: [
      ID,
      WORDS,
      { field: "role", label: "for", kind: "choose", options: connectorRoleValues },
      { field: "family", label: "family", kind: "choose", options: connectorFamilyValues },
      { field: "latchSide", label: "latch opens", kind: "text", mayBeNone: true },
      { field: "stackOrder", label: "order, 1 lowest", kind: "number" },
      { field: "seatingProof", label: "home when", kind: "text", mayBeNone: true },
      PLACE,
      { field: "cable.from", label: "cable belongs to", kind: "choose", options: things, mayBeNone: true },
      {
        field: "cable.route",
        label: "its way, x y and so on, mm",
        kind: "numbers",
        names: ["xMm", "yMm"],
        many: true,
        wide: true,
      },
      { field: "cable.tight", label: "too short to lift that", kind: "tick" },
      { field: "needsIsolation", label: "battery out first", kind: "tick" },
      COVERED,
    ],
    fresh: {
      words: "new plug",
      family: "PRESS_PLUG",
      role: "FRONT",
      latchSide: null,
      stackOrder: 1,
      seatingProof: null,
      needsIsolation: true,
      place: null,
      coveredBy: ["front"],
      cable: { from: "front", tight: false, route: [] },
    },
  },
  screws: {
    title: "Screws",
    columns: [
      ID,
      { field: "xMm", label: "x, mm", kind: "number" },
      { field: "yMm", label: "y, mm", kind: "number" },
      { field: "driver", label: "driver", kind: "text" },
      { field: "head", label: "head", kind: "text" },
      { field: "threadMm", label: "thread, mm", kind: "number" },
      { field: "underHeadMm", label: "under the head, mm", kind: "number" },
      { field: "stackMm", label: "clamps, mm", kind: "number", mayBeNone: true },
      { field: "threadedMm", label: "threaded below, mm", kind: "number", mayBeNone: true },
      { field: "layer", label: "layer", kind: "number" },
      { field: "holds", label: "holds", kind: "choose", options: things, mayBeNone: true },
      { field: "hidden", label: "hidden", kind: "tick" },
      { field: "laterLayer", label: "later layer", kind: "tick" },
      COVERED,
    ],
    fresh: {
      xMm: 10,
      yMm: 10,
      driver: "cross 00",
      head: "flat",
      threadMm: 1.4,
      underHeadMm: 3,
      stackMm: null,
      threadedMm: null,
      layer: 1,
      hidden: false,
      laterLayer: false,
      coveredBy: [],
      holds: null,
    },
  },
  inside: {
    title: "Shields, plates, tapes, panel, battery, back",
    columns: [
      ID,
      WORDS,
      { field: "kind", label: "kind", kind: "choose", options: insideKindValues },
      { field: "hold", label: "held", kind: "choose", options: insideHoldValues },
      { field: "layer", label: "layer", kind: "number" },
      AREA,
      COVERED,
    ],
    fresh: {
      words: "new shield",
      kind: "SHIELD",
      hold: "SLIDES",
      area: null,
      layer: 1,
      coveredBy: ["front"],
    },
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
      { field: "layer", label: "layer, 0 on the front", kind: "number" },
      AREA,
      COVERED,
      { field: "offBy", label: "comes off by", kind: "several", options: carryOverOffByValues },
      { field: "mostC", label: "bears at most, °C", kind: "number", mayBeNone: true },
      {
        field: "centredOn",
        label: "centre of its hole, x y, mm",
        kind: "numbers",
        names: ["xMm", "yMm"],
        mayBeNone: true,
      },
      { field: "leastBendMm", label: "breaks bent tighter than, mm", kind: "number", mayBeNone: true },
      { field: "tapeMm", label: "tape behind it, mm wide", kind: "number", mayBeNone: true },
      { field: "lays", label: "how it lies", kind: "text", mayBeNone: true },
      {
        field: "functionId",
        label: "lost with it",
        kind: "choose",
        options: functions,
        mayBeNone: true,
      },
    ],
    fresh: {
      words: "new part",
      hint: "",
      irreplaceable: false,
      brings: null,
      area: null,
      layer: 0,
      coveredBy: [],
      offBy: [],
      mostC: null,
      centredOn: null,
      leastBendMm: null,
      tapeMm: null,
      lays: null,
      functionId: null,
    },
  },
  pairedParts: {
    title: "Paired parts",
    columns: [
      ID,
      WORDS,
      HINT,
      { field: "method", label: "kept by", kind: "choose", options: pairedPartMethodValues },
      { field: "functionId", label: "function", kind: "choose", options: functions },
      { field: "adapter", label: "read through", kind: "text", mayBeNone: true },
      { field: "generation", label: "generation", kind: "text", mayBeNone: true },
      { field: "solderMeltsC", label: "its solder melts at, °C", kind: "number", mayBeNone: true },
    ],
    fresh: {
      words: "new paired part",
      hint: "",
      method: "COPY_DATA",
      functionId: "picture",
      joints: [],
      adapter: null,
      generation: null,
      solderMeltsC: null,
    },
  },
  covers: {
    title: "Films and liners",
    columns: [
      ID,
      WORDS,
      HINT,
      { field: "kind", label: "kind", kind: "choose", options: coverKindValues },
      {
        field: "stretches",
        label: "on the edge, from and length, mm",
        kind: "numbers",
        names: ["fromMm", "lengthMm"],
        many: true,
        wide: true,
      },
      AREA,
    ],
    fresh: { words: "new film", hint: "", kind: "FILM", stretches: [], area: null },
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
        options: repairOldFrontValues,
      },
      {
        field: "parts",
        label: "parts",
        kind: "several",
        options: repairPartsValues,
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
      border: null,
      ledge: null,
      seat: null,
      features: [],
      functions: [],
      connectors: [],
      screws: [],
      inside: [],
      carryOvers: [],
      pairedParts: [],
      covers: [],
      seals: null,
      opticalBonds: null,
      repairs: [],
      without: [],
    },
  },
} satisfies Record<string, List>;

export type ListName = keyof typeof LISTS;
