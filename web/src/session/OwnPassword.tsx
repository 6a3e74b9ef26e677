import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { useSubmit } from "@/api/useSubmit";
import { Field } from "@/ui/Field";
import { Form } from "@/ui/Form";
import { Modal } from "@/ui/Modal";

/** Everyone's own password; a lead sets other people's on their screen. */
export function OwnPassword({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [old, setOld] = useState("");
  const [password, setPassword] = useState("");
  const { problem, submit } = useSubmit(async () => {
    unwrap(await api.PUT("/api/session/password", { body: { old, password } }));
    setOld("");
    setPassword("");
    onClose();
  });
  return (
    <Modal title="Change my password" open={open} onClose={onClose}>
      <Form submit={() => submit(undefined)} problem={problem} go="Change it" onClose={onClose}>
        <Field
          id="old-password"
          label="The one you sign in with now"
          type="password"
          autoComplete="current-password"
          value={old}
          onChange={(e) => setOld(e.target.value)}
        />
        <Field
          id="own-password"
          label="The new one, 8 characters or more"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
      </Form>
    </Modal>
  );
}
