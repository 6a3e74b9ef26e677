import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, unwrap } from "@/api/client";
import { useSubmit } from "@/api/useSubmit";
import { Choose, Field } from "@/ui/Field";
import { Form } from "@/ui/Form";
import { Modal } from "@/ui/Modal";

type Kind = "TABLET" | "WATCH";

/** A new device starts from the nearest one the book has: most of it is alike. */
export function NewDevice({ open, onClose }: { open: boolean; onClose: () => void }) {
  const navigate = useNavigate();
  const [given, setGiven] = useState({ name: "", kind: "TABLET" as Kind, width: "", height: "" });
  const [from, setFrom] = useState("");
  const widthMm = Number(given.width);
  const heightMm = Number(given.height);
  const sized = widthMm > 0 && heightMm > 0;
  const nearest = useQuery({
    queryKey: ["book", "nearest", given.kind, widthMm, heightMm],
    queryFn: async () =>
      unwrap(
        await api.GET("/api/book-nearest", { params: { query: { kind: given.kind, widthMm, heightMm } } }),
      ),
    enabled: open && sized,
  });
  const start = nearest.data?.find((d) => d.id === from) ?? nearest.data?.[0];
  const { problem, submit } = useSubmit(async () => {
    const drafted = unwrap(
      await api.POST("/api/book-start", {
        body: { fromId: start?.id ?? "", name: given.name, widthMm, heightMm },
      }),
    );
    await navigate(`/book/${drafted.id}`);
  });
  return (
    <Modal title="Describe a device" open={open} onClose={onClose}>
      <Form submit={() => submit(undefined)} problem={problem} go="Start drawing" onClose={onClose}>
        <Field
          id="device-name"
          label="What the bench calls it"
          autoComplete="off"
          value={given.name}
          onChange={(e) => setGiven({ ...given, name: e.target.value })}
        />
        <Choose
          id="device-kind"
          label="Kind"
          value={given.kind}
          onChange={(e) => setGiven({ ...given, kind: e.target.value as Kind })}
        >
          <option value="TABLET">tablet</option>
          <option value="WATCH">smartwatch</option>
        </Choose>
        <div className="grid grid-cols-2 gap-3">
          <Field
            id="device-width"
            label="Width, landmark corner top left"
            suffix="mm"
            inputMode="decimal"
            value={given.width}
            onChange={(e) => setGiven({ ...given, width: e.target.value })}
          />
          <Field
            id="device-height"
            label="Height"
            suffix="mm"
            inputMode="decimal"
            value={given.height}
            onChange={(e) => setGiven({ ...given, height: e.target.value })}
          />
        </div>
        {start && (
          <Choose
            id="device-near"
            label="Starts as a copy of the nearest"
            value={start.id}
            onChange={(e) => setFrom(e.target.value)}
          >
            {nearest.data?.map((device) => (
              <option key={device.id} value={device.id}>
                {device.name}, {device.words}
              </option>
            ))}
          </Choose>
        )}
      </Form>
    </Modal>
  );
}
