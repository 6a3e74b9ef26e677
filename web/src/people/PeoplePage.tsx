import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useSession } from "@/session/useSession";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { Form } from "@/ui/Form";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";

type Person = Schemas["Person"];
type Role = Person["role"];

const ROLES: { role: Role; words: string }[] = [
  { role: "TECHNICIAN", words: "Technician: works at all stations" },
  { role: "DESK", words: "Front desk: takes in, quotes, hands over" },
  { role: "LEAD", words: "Lead: also signs off holds, keeps this list" },
];

/** Who works here and may do what. Names stay, since the journals name them. */
export function PeoplePage() {
  const client = useQueryClient();
  const me = useSession().data?.me;
  const people = useQuery({
    queryKey: keys.people,
    queryFn: async () => unwrap(await api.GET("/api/people")),
  });
  const [adding, setAdding] = useState(false);
  const [renewing, setRenewing] = useState<Person | null>(null);
  const reload = () => client.invalidateQueries({ queryKey: keys.people });
  const { problem, busy, submit } = useSubmit(async ({ id, role, active }: Person) => {
    unwrap(
      await api.PUT("/api/people/{personId}", { params: { path: { personId: id } }, body: { role, active } }),
    );
    await reload();
  });
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <div className="mb-5 flex items-center gap-4">
        <h1 className="flex-1 text-3xl font-bold">People of the shop</h1>
        <Button look="lamp" className="px-6 text-lg" onClick={() => setAdding(true)}>
          Add someone
        </Button>
      </div>
      {problem && <ProblemNote problem={problem} />}
      <ul className="mt-4 divide-y-2 divide-line border-y-2 border-line">
        {people.data?.map((person) => (
          <li
            key={person.id}
            className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_auto_12rem] items-end gap-4 px-2 py-3"
          >
            <span className="self-center text-xl font-semibold">
              {person.name}
              {person.name === me?.name && <span className="font-normal text-quiet"> (you)</span>}
              {!person.active && <span className="block text-base text-quiet">can't sign in</span>}
            </span>
            <Choose
              id={`role-${person.id}`}
              label="Role"
              value={person.role}
              disabled={busy || !person.active}
              onChange={(e) => void submit({ ...person, role: e.target.value as Role })}
            >
              <Roles />
            </Choose>
            <Button disabled={!person.active} onClick={() => setRenewing(person)}>
              New password
            </Button>
            <Button
              look={person.active ? "alarm" : "plain"}
              disabled={busy}
              onClick={() => void submit({ ...person, active: !person.active })}
            >
              {person.active ? "Take away sign-in" : "Give back sign-in"}
            </Button>
          </li>
        ))}
      </ul>
      <p className="mt-4 max-w-2xl text-quiet">
        A change of role, password or sign-in ends that person's open sessions. What they recorded stays in
        the journals under their name.
      </p>
      <AddPerson open={adding} onClose={() => setAdding(false)} onDone={reload} />
      <NewPassword person={renewing} onClose={() => setRenewing(null)} />
    </main>
  );
}

function Roles() {
  return ROLES.map(({ role, words }) => (
    <option key={role} value={role}>
      {words}
    </option>
  ));
}

function AddPerson({
  open,
  onClose,
  onDone,
}: {
  open: boolean;
  onClose: () => void;
  onDone: () => Promise<void>;
}) {
  const [given, setGiven] = useState({ name: "", password: "", role: "TECHNICIAN" as Role });
  const { problem, submit } = useSubmit(async () => {
    unwrap(await api.POST("/api/people", { body: given }));
    await onDone();
    setGiven({ name: "", password: "", role: "TECHNICIAN" });
    onClose();
  });
  return (
    <Modal title="Add someone" open={open} onClose={onClose}>
      <Form submit={() => submit(undefined)} problem={problem} go="Add" onClose={onClose}>
        <Field
          id="new-name"
          label="Name, as it will stand in the journals"
          autoComplete="off"
          value={given.name}
          onChange={(e) => setGiven({ ...given, name: e.target.value })}
        />
        <Choose
          id="new-role"
          label="Role"
          value={given.role}
          onChange={(e) => setGiven({ ...given, role: e.target.value as Role })}
        >
          <Roles />
        </Choose>
        <Field
          id="new-password"
          label="First password, 8 characters or more; they can change it"
          type="password"
          autoComplete="new-password"
          value={given.password}
          onChange={(e) => setGiven({ ...given, password: e.target.value })}
        />
      </Form>
    </Modal>
  );
}

function NewPassword({ person, onClose }: { person: Person | null; onClose: () => void }) {
  const [password, setPassword] = useState("");
  const { problem, submit } = useSubmit(async (id: string) => {
    unwrap(
      await api.PUT("/api/people/{personId}/password", {
        params: { path: { personId: id } },
        body: { password },
      }),
    );
    setPassword("");
    onClose();
  });
  return (
    <Modal title={`New password for ${person?.name ?? ""}`} open={person !== null} onClose={onClose}>
      <Form submit={() => submit(person?.id ?? "")} problem={problem} go="Set it" onClose={onClose}>
        <Field
          id="renewed-password"
          label="8 characters or more"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
      </Form>
    </Modal>
  );
}
