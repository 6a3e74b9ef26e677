import { useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { Bell, BellOff, Moon, Sun } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { Link, NavLink, useNavigate } from "react-router";
import { PageOutlet } from "./PageOutlet";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useClocks } from "@/bench/useBench";
import { OwnPassword } from "@/session/OwnPassword";
import { type Me, useSession } from "@/session/useSession";
import { setMuted, useMuted, useRinging } from "@/sound/sound";
import { chooseTheme, currentTheme } from "@/ui/theme";
import { LineNotice } from "./LineNotice";
import { TimerChip } from "./TimerChip";

/** Round every screen: the timers of the whole bench, the state of the line, and who is here. */
export function Shell() {
  const me = useSession().data?.me;
  const clocks = useClocks();
  const timers = clocks.data?.timers ?? [];
  useRinging(timers);
  return (
    <div className="flex h-screen flex-col overflow-hidden print:h-auto print:overflow-visible">
      <header className="no-print flex h-13 shrink-0 items-center gap-5 bg-deep px-4 text-on-deep">
        <Link to="/" className="text-xl font-bold tracking-tight">
          Ridgefall
        </Link>
        <nav aria-label="Screens" className="flex gap-1">
          <Screen to="/">Bench</Screen>
          <Screen to="/book">Book</Screen>
          <Screen to="/shelf">Shelf</Screen>
          <Screen to="/tools">Tools</Screen>
        </nav>
        <nav aria-label="Running timers" className="flex h-11 min-w-0 flex-1 flex-wrap gap-4 overflow-hidden">
          {timers.map((timer) => (
            <TimerChip key={`${timer.jobId}/${timer.seq}`} timer={timer} />
          ))}
          {timers.length === 0 && <span className="text-deep-quiet">no timer runs</span>}
        </nav>
        {timers.length > 1 && (
          <Link
            to="/"
            className={clsx("shrink-0 leading-tight underline", timers.length === 2 && "lg:hidden")}
            aria-label={`All ${timers.length} clocks`}
          >
            all {timers.length}
          </Link>
        )}
        {me && <Person me={me} />}
      </header>
      <LineNotice
        benchFailing={clocks.isError || clocks.failureCount > 0}
        diskLeft={clocks.data?.diskLeft ?? null}
      />
      <PageOutlet />
    </div>
  );
}

function Screen({ to, children }: { to: string; children: string }) {
  return (
    <NavLink
      to={to}
      end={to === "/"}
      className="flex min-h-11 items-center rounded px-1.5 lg:px-2.5 text-deep-quiet aria-[current=page]:font-semibold aria-[current=page]:text-on-deep"
    >
      {children}
    </NavLink>
  );
}

const ITEM =
  "flex min-h-11 cursor-pointer items-center gap-3 rounded px-3 outline-none data-highlighted:bg-bond";

function Person({ me }: { me: Me }) {
  const client = useQueryClient();
  const muted = useMuted();
  const navigate = useNavigate();
  const [password, setPassword] = useState(false);
  const [theme, setTheme] = useState(currentTheme());

  const units = async (change: Partial<Me["units"]>) => {
    await api.PUT("/api/session/units", { body: { ...me.units, ...change } });
    await client.invalidateQueries({ queryKey: keys.session });
  };
  const leave = async () => {
    unwrap(await api.DELETE("/api/session"));
    client.clear();
    location.assign("/");
  };

  return (
    <div className="flex items-center gap-1">
      <button
        type="button"
        className="grid size-11 place-items-center rounded"
        aria-pressed={muted}
        aria-label={muted ? "Sounds are muted" : "Mute sounds"}
        onClick={() => setMuted(!muted)}
      >
        {muted ? <BellOff aria-hidden /> : <Bell aria-hidden />}
      </button>
      <button
        type="button"
        className="grid size-11 place-items-center rounded"
        aria-label={theme === "dark" ? "Light theme" : "Dark theme"}
        onClick={() => {
          const next = theme === "dark" ? "light" : "dark";
          chooseTheme(next);
          setTheme(next);
        }}
      >
        {theme === "dark" ? <Sun aria-hidden /> : <Moon aria-hidden />}
      </button>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="min-h-11 rounded px-2">
          {me.name}
          <span className="max-lg:hidden">, {me.roleWords}</span>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            className="z-50 min-w-56 rounded-md border-2 border-ink bg-sheet p-1 text-ink"
          >
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => void units({ temperature: me.units.temperature === "C" ? "F" : "C" })}
            >
              Temperatures in °{me.units.temperature === "C" ? "F" : "C"}
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => void units({ length: me.units.length === "mm" ? "in" : "mm" })}
            >
              Lengths in {me.units.length === "mm" ? "inches" : "millimetres"}
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-0.5 bg-line" />
            {me.may.includes("CHANGE_PEOPLE") && (
              <DropdownMenu.Item className={ITEM} onSelect={() => void navigate("/people")}>
                People of the shop
              </DropdownMenu.Item>
            )}
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate("/shop")}>
              How the shop reckons
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate("/faults")}>
              What fails, and why
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => setPassword(true)}>
              Change my password
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void leave()}>
              Sign out
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <OwnPassword open={password} onClose={() => setPassword(false)} />
    </div>
  );
}
