import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { Field } from "@/ui/Field";
import { Form } from "@/ui/Form";
import { Modal } from "@/ui/Modal";

/** Where instruments and programmers may be called: a lead's to say. */
export function NetsForm({ nets, onClose }: { nets: string[]; onClose: () => void }) {
  const client = useQueryClient();
  const [given, setGiven] = useState(nets.join(", "));
  const put = useSubmit(async () => {
    const named = given.split(/[\s,;]+/).filter((net) => net !== "");
    unwrap(await api.PUT("/api/instruments/nets", { body: { nets: named } }));
    await client.invalidateQueries({ queryKey: keys.instruments });
    onClose();
  });
  return (
    <Modal title="Where instruments are" open onClose={onClose}>
      <Form submit={() => put.submit(undefined)} problem={put.problem} go="Keep" onClose={onClose}>
        <Field
          id="nets"
          label="Nets of this shop, such as 192.168.7.0/24"
          value={given}
          onChange={(e) => setGiven(e.target.value)}
        />
        <p className="text-quiet">Nothing outside them is called. Empty: only the stand-ins.</p>
      </Form>
    </Modal>
  );
}
