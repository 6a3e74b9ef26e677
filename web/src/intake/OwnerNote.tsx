import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useMay } from "@/session/useMay";
import { Form } from "@/ui/Form";
import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";

/** How the owner is reached, and for a lead the way to forget them. */
export function OwnerNote({ jobId }: { jobId: string }) {
  const client = useQueryClient();
  const mayErase = useMay("ERASE_OWNERS");
  const [asking, setAsking] = useState(false);
  const { data } = useQuery({
    queryKey: keys.station(jobId, "owner"),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/owner", { params: { path: { jobId } } })),
  });
  const { problem, submit } = useSubmit(async () => {
    unwrap(await api.DELETE("/api/jobs/{jobId}/owner", { params: { path: { jobId } } }));
    setAsking(false);
    await client.invalidateQueries({ queryKey: keys.job(jobId) });
  });
  return (
    <>
      {data?.contact && <span className="block text-base text-quiet">reached at {data.contact}</span>}
      {mayErase && (
        <Button look="quiet" className="px-0 underline" onClick={() => setAsking(true)}>
          Erase the owner
        </Button>
      )}
      <Modal title="Erase the owner for good?" open={asking} onClose={() => setAsking(false)}>
        <Form submit={() => submit(undefined)} problem={problem} go="Erase" onClose={() => setAsking(false)}>
          <p>
            Name, contact, what the owner said, photos, touch traces, chip files and the owner’s signature go
            and can't be brought back. The journal stays without them, and so do what instruments read and who
            of the shop signed.
          </p>
        </Form>
      </Modal>
    </>
  );
}
