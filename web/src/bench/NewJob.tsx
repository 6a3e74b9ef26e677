import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type SyntheticEvent, useState } from "react";
import { useNavigate } from "react-router";
import { api, type Problem, ProblemError, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { newId } from "@/live/outbox";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";

/** What is asked while the owner stands at the desk: whose, which, what is wrong. */
export function NewJob({ open, onClose }: { open: boolean; onClose: () => void }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const devices = useQuery({
    queryKey: ["devices"],
    queryFn: async () => unwrap(await api.GET("/api/devices")),
    staleTime: Infinity,
  });
  const [commandId, setCommandId] = useState(newId);
  const [profileId, setProfileId] = useState("");
  const [owner, setOwner] = useState("");
  const [fault, setFault] = useState("");
  const [problem, setProblem] = useState<Problem | null>(null);

  const submit = async (event: SyntheticEvent) => {
    event.preventDefault();
    setProblem(null);
    try {
      const receipt = unwrap(
        await api.POST("/api/jobs", {
          body: { commandId, profileId: profileId || (devices.data?.[0]?.id ?? ""), owner, fault },
        }),
      );
      setCommandId(newId());
      setOwner("");
      setFault("");
      onClose();
      void client.invalidateQueries({ queryKey: keys.bench });
      await navigate(`/jobs/${receipt.jobId}`);
    } catch (error) {
      // The same command id goes out again: a job that was opened unheard is not opened twice.
      setProblem(
        error instanceof ProblemError
          ? error.problem
          : {
              status: 0,
              title: "The line is down",
              detail: "What you typed is kept; try again in a moment.",
            },
      );
    }
  };

  return (
    <Modal title="Take a job in" open={open} onClose={onClose}>
      <form className="space-y-4" onSubmit={(e) => void submit(e)}>
        <label htmlFor="device" className="block">
          <span className="mb-1 block text-quiet">Device</span>
          <select
            id="device"
            className="min-h-12 w-full rounded-md border-2 border-line bg-sheet px-3 text-lg"
            value={profileId}
            onChange={(e) => setProfileId(e.target.value)}
          >
            {devices.data?.map((device) => (
              <option key={device.id} value={device.id}>
                {device.name}, {device.words}
              </option>
            ))}
          </select>
        </label>
        <Field
          id="owner"
          label="Belongs to"
          autoComplete="off"
          value={owner}
          onChange={(e) => setOwner(e.target.value)}
        />
        <Field
          id="fault"
          label="What is wrong, in the owner's words"
          autoComplete="off"
          value={fault}
          onChange={(e) => setFault(e.target.value)}
        />
        {problem && <ProblemNote problem={problem} />}
        <div className="flex justify-end gap-3">
          <Button look="quiet" onClick={onClose}>
            Not now
          </Button>
          <Button type="submit" look="lamp" className="px-6">
            Take it in
          </Button>
        </div>
      </form>
    </Modal>
  );
}
