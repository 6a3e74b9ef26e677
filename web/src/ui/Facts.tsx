/** What a hand needs while it works, large enough for arm's length. */
export function Facts({ facts }: { facts: readonly (readonly [what: string, value: string])[] }) {
  return (
    <dl className="grid grid-cols-2 gap-x-5 gap-y-2">
      {facts.map(([what, value]) => (
        <div key={what} className="flex flex-col-reverse">
          <dt className="leading-tight text-quiet">{what}</dt>
          <dd className="digits text-2xl leading-none font-bold whitespace-nowrap">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
