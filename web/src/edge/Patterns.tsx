/** Hatchings: what they mean must not hang on colour. */
export function Patterns() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden>
      <defs>
        <pattern id="hazard" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--sheet)" />
          <rect width="3" height="7" fill="var(--alarm)" />
        </pattern>
        <pattern id="crack" width="6" height="8" patternUnits="userSpaceOnUse">
          <rect width="6" height="8" fill="var(--sheet)" />
          <path d="M0 0L3 4L0 8M3 0L6 4L3 8" fill="none" stroke="var(--ink)" strokeWidth="1.4" />
        </pattern>
      </defs>
    </svg>
  );
}
