import { words } from "./document";

/** Many of a few, in the order they were ticked. */
export function Ticks<T extends string>({
  label,
  options,
  chosen,
  onChosen,
}: {
  label: string;
  options: readonly T[];
  chosen: readonly T[];
  onChosen: (chosen: T[]) => void;
}) {
  return (
    <fieldset className="col-span-full">
      <legend className="text-quiet">{label}</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {options.map((option) => (
          <label key={option} className="flex min-h-9 items-center gap-1.5">
            <input
              type="checkbox"
              className="size-5"
              checked={chosen.includes(option)}
              onChange={(e) =>
                onChosen(e.target.checked ? [...chosen, option] : chosen.filter((one) => one !== option))
              }
            />
            {words(option)}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
