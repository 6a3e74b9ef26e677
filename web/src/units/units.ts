import { scaleLinear } from "d3-scale";

/** How a person reads numbers; the app itself works in °C and mm. */
export interface Units {
  temperature: string;
  length: string;
}

const number = (value: number, digits: number) =>
  new Intl.NumberFormat(undefined, { minimumFractionDigits: digits, maximumFractionDigits: digits }).format(
    value,
  );

export function temperature(celsius: number, units: Units, digits = 0): string {
  return units.temperature === "F"
    ? `${number((celsius * 9) / 5 + 32, digits)} °F`
    : `${number(celsius, digits)} °C`;
}

/** A difference of temperatures. */
export function kelvin(k: number, units: Units): string {
  return units.temperature === "F" ? `${number(k * 1.8, 1)} °F` : `${number(k, 1)} K`;
}

/** How many digits a length is worth, and what it is in the reader's unit. */
function measured(mm: number, units: Units): { value: number; digits: number; unit: string } {
  if (units.length === "in") {
    const value = mm / 25.4;
    // A limit of hundredths of a millimetre must not read as nought, and no hand keeps a hundredth on a foot.
    const digits = value === 0 || Math.abs(value) >= 10 ? 1 : Math.abs(value) < 0.1 ? 3 : 2;
    return { value, digits, unit: "in" };
  }
  return {
    value: mm,
    digits: Math.abs(mm) >= 10 ? 0 : Math.abs(mm) >= 1 || mm === 0 ? 1 : 2,
    unit: "mm",
  };
}

export function length(mm: number, units: Units): string {
  const { value, digits, unit } = measured(mm, units);
  return `${number(value, digits)} ${unit}`;
}

export interface RoundMark {
  at: number;
  words: string;
}

/** Round marks of the reader's ruler along so many millimetres. */
export function ruler(lengthMm: number, marks: number, units: Units): RoundMark[] {
  const unitMm = units.length === "in" ? 25.4 : 1;
  return scaleLinear([0, lengthMm / unitMm], [0, 1])
    .ticks(marks)
    .map((at) => ({ at: at * unitMm, words: `${at} ${units.length}` }));
}

/** Round marks of the reader's thermometer between two temperatures in °C. */
export function degrees(fromC: number, toC: number, marks: number, units: Units): RoundMark[] {
  const fahrenheit = units.temperature === "F";
  const shown = (celsius: number) => (fahrenheit ? (celsius * 9) / 5 + 32 : celsius);
  return scaleLinear([shown(fromC), shown(toC)], [0, 1])
    .ticks(marks)
    .map((at) => ({ at: fahrenheit ? ((at - 32) * 5) / 9 : at, words: `${at} °${units.temperature}` }));
}

/** A length that must not be passed: never rounded up. */
export function lengthAtMost(mm: number, units: Units): string {
  const { value, digits, unit } = measured(mm, units);
  const scale = 10 ** digits;
  return `${number(Math.floor(value * scale + 1e-6) / scale, digits)} ${unit}`;
}

export function duration(seconds: number): string {
  const whole = Math.round(seconds);
  const minutes = Math.floor(whole / 60);
  const rest = whole % 60;
  if (minutes === 0) {
    return `${rest} s`;
  }
  return rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`;
}

const day = new Intl.DateTimeFormat(undefined, { day: "numeric", month: "short" });

/** A day such as 2026-12-01, without its year: what is promised or due is near. */
export function dayWords(iso: string): string {
  return day.format(new Date(`${iso}T12:00`));
}

/** Puts numbers and days that the core left as {unit:value} into the reader's units. */
export function say(text: string, units: Units): string {
  return text.replace(/\{(C|t|K|mm|most|s|day):(-?[\d.-]+)\}/g, (_, unit: string, value: string) => {
    const n = Number(value);
    switch (unit) {
      case "day":
        return dayWords(value);
      case "most":
        return lengthAtMost(n, units);
      case "C":
        return temperature(n, units);
      case "t":
        return temperature(n, units, 1);
      case "K":
        return kelvin(n, units);
      case "mm":
        return length(n, units);
      default:
        return duration(n);
    }
  });
}

/** What was typed, in the app's own unit; text that is no number stays as it is, for the server to refuse. */
export function typed(text: string, unit: string | null, units: Units): number | string {
  const plain = text.trim().replace(",", ".");
  if (plain === "" || Number.isNaN(Number(plain))) {
    return text;
  }
  const value = Number(plain);
  if (unit === "mm" && units.length === "in") {
    return Math.round(value * 254) / 10;
  }
  return unit === "C" && units.temperature === "F" ? ((value - 32) * 5) / 9 : value;
}

export function unitLabel(unit: string | null, units: Units): string {
  return unit === "C" ? `°${units.temperature}` : unit === "mm" ? units.length : (unit ?? "");
}
