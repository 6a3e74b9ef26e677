import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { outbox } from "@/live/outbox";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { ProblemNote } from "@/ui/ProblemNote";
import type { Session } from "./useSession";

/** The door. In the demo it also says who may come in. */
export function SignIn({ session }: { session: Session }) {
  const client = useQueryClient();
  const [name, setName] = useState("");
  const [password, setPassword] = useState("");
  const {
    problem,
    busy,
    submit: enter,
  } = useSubmit(async (who: { name: string; password: string }) => {
    client.setQueryData(keys.session, unwrap(await api.POST("/api/session", { body: who })));
    void client.invalidateQueries();
    void outbox.flush();
  });

  return (
    <main className="mx-auto grid min-h-screen max-w-4xl content-center gap-x-14 gap-y-8 p-8 md:grid-cols-2">
      <div>
        <h1 className="text-5xl font-bold tracking-tight">Ridgefall</h1>
        <p className="mt-3 text-xl text-quiet">
          The bench companion for bonded glass: how long to heat, where and how deep to cut, what to lay, and
          whether it is proven before it is sealed.
        </p>
        <svg viewBox="0 0 300 150" className="mt-8 w-full" aria-hidden>
          <rect
            x="6"
            y="6"
            width="288"
            height="138"
            rx="20"
            className="fill-none stroke-bond"
            strokeWidth="12"
          />
          <path d="M26 6H190" className="fill-none stroke-free" strokeWidth="12" />
          <path d="M196 6H274" className="fill-none stroke-lamp" strokeWidth="12" />
        </svg>
      </div>
      <div className="space-y-5">
        <form
          className="space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            void enter({ name, password });
          }}
        >
          <Field
            id="name"
            label="Name"
            autoComplete="username"
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <Field
            id="password"
            label="Password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
          />
          {problem && <ProblemNote problem={problem} />}
          <Button type="submit" look="lamp" disabled={busy} className="w-full text-xl">
            Sign in
          </Button>
        </form>
        {session.demoSignIns.length > 0 && (
          <section aria-label="Demo sign-ins" className="border-t-2 border-line pt-4">
            <p className="mb-2 text-quiet">This is the demo workshop. Come in as</p>
            <div className="grid gap-2">
              {session.demoSignIns.map((who) => (
                <Button
                  key={who.name}
                  disabled={busy}
                  onClick={() => void enter({ name: who.name, password: who.password })}
                >
                  <span className="font-semibold">{who.name}</span>, {who.roleWords}
                </Button>
              ))}
            </div>
          </section>
        )}
      </div>
    </main>
  );
}
