import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";

export type Programmer = Schemas["ProgrammerView"];

/** What reads and writes fronts' data. */
export const useProgrammers = () =>
  useQuery({
    queryKey: keys.programmers,
    queryFn: async () => unwrap(await api.GET("/api/programmers")),
  });

/** A programmer by its address; called at once, to see which adapter it has. */
export function ProgrammerForm({
  programmer,
  onClose,
}: {
  programmer: Programmer | null;
  onClose: () => void;
}) {
  const client = useQueryClient();
  const [given, setGiven] = useState({
    name: programmer?.name ?? "",
    host: programmer?.host ?? "",
    port: String(programmer?.port ?? 5025),
  });
  const [said, setSaid] = useState<string | null>(null);
  const [fresh] = useState(() => `programmer-${Date.now().toString(36)}`);
  const path = { programmerId: programmer?.id ?? fresh };
  const done = async () => {
    await client.invalidateQueries({ queryKey: keys.programmers });
    onClose();
  };
  const put = useSubmit(async () => {
    const port = Number(given.port);
    unwrap(
      await api.PUT("/api/programmers/{programmerId}", {
        params: { path },
        body: {
          name: given.name,
          host: given.host.trim(),
          port: Number.isNaN(port) ? (given.port as unknown as number) : port,
        },
      }),
    );
    await done();
  });
  const remove = useSubmit(async () => {
    unwrap(await api.DELETE("/api/programmers/{programmerId}", { params: { path } }));
    await done();
  });
  const call = useSubmit(async () => {
    const answer = unwrap(await api.POST("/api/programmers/{programmerId}/try", { params: { path } }));
    setSaid(
      answer.trouble === null
        ? `answers: ${answer.identity}; has ${answer.adapter}`
        : `does not answer: ${answer.trouble}`,
    );
  });
  const play = useSubmit(async (fault: Programmer["faults"][number]) => {
    unwrap(
      await api.POST("/api/programmers/{programmerId}/fault", {
        params: { path },
        body: { fault: fault.id },
      }),
    );
    setSaid(`at its next job: ${fault.words}`);
  });
  const problem = put.problem ?? remove.problem ?? call.problem ?? play.problem;
  const field = (id: keyof typeof given, label: string) => (
    <Field
      id={id}
      label={label}
      inputMode={id === "port" ? "numeric" : "text"}
      value={given[id]}
      onChange={(e) => setGiven({ ...given, [id]: e.target.value })}
    />
  );
  return (
    <Modal title={programmer ? programmer.name : "Another programmer"} open onClose={onClose}>
      <form
        className="grid grid-cols-2 gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void put.submit(undefined);
        }}
      >
        <div className="col-span-2">{field("name", "What it is called")}</div>
        {field("host", "Address in the shop")}
        {field("port", "Port")}
        {programmer && programmer.faults.length > 0 && (
          <div className="col-span-2">
            <Choose
              id="fault"
              label="A stand-in: play at its next job"
              value=""
              onChange={(e) => {
                const fault = programmer.faults.find((one) => one.id === e.target.value);
                if (fault) {
                  void play.submit(fault);
                }
              }}
            >
              <option value="">nothing wrong</option>
              {programmer.faults.map((fault) => (
                <option key={fault.id} value={fault.id}>
                  {fault.words}
                </option>
              ))}
            </Choose>
          </div>
        )}
        {said && (
          <p className="col-span-2 font-semibold" role="status">
            {said}
          </p>
        )}
        <div className="col-span-2 flex flex-wrap gap-3">
          <Button type="submit" look="lamp" disabled={put.busy}>
            Keep
          </Button>
          {programmer && <Button onClick={() => void call.submit(undefined)}>Call it</Button>}
          {programmer && <Button onClick={() => void remove.submit(undefined)}>Take it off the list</Button>}
        </div>
      </form>
      {problem && <ProblemNote problem={problem} />}
    </Modal>
  );
}
