import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { useSubmit } from "@/api/useSubmit";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Form } from "@/ui/Form";
import { Modal } from "@/ui/Modal";

/** One tap at the bench when the device is not as the book has it; a lead reads it beside the drawing. */
export function ProposeCorrection({ jobId }: { jobId: string }) {
  const [open, setOpen] = useState(false);
  const [given, setGiven] = useState({ what: "", found: "" });
  const { problem, submit } = useSubmit(async () => {
    unwrap(await api.POST("/api/jobs/{jobId}/corrections", { params: { path: { jobId } }, body: given }));
    setGiven({ what: "", found: "" });
    setOpen(false);
  });
  return (
    <>
      <Button look="quiet" className="mt-auto self-start underline" onClick={() => setOpen(true)}>
        The book is wrong here
      </Button>
      <Modal title="The book is wrong here" open={open} onClose={() => setOpen(false)}>
        <Form
          submit={() => submit(undefined)}
          problem={problem}
          go="Tell the lead"
          onClose={() => setOpen(false)}
        >
          <Field
            id="correction-what"
            label="What: a feature, a screw, a depth"
            autoComplete="off"
            value={given.what}
            onChange={(e) => setGiven({ ...given, what: e.target.value })}
          />
          <Field
            id="correction-found"
            label="As found on this device"
            autoComplete="off"
            value={given.found}
            onChange={(e) => setGiven({ ...given, found: e.target.value })}
          />
        </Form>
      </Modal>
    </>
  );
}
