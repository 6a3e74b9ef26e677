import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { Route, Routes } from "react-router";
import { news } from "@/live/news";
import {
  BookPage,
  DevicePage,
  FaultsPage,
  fetchAllPages,
  JobPage,
  PeoplePage,
  RecordPage,
  ShelfPage,
  ShopPage,
  TagPage,
  TakeInPage,
  ToolsPage,
} from "./pages";
import { BenchPage } from "@/bench/BenchPage";
import { useLiveEvents } from "@/live/line";
import { outbox } from "@/live/outbox";
import { SignIn } from "@/session/SignIn";
import { useSession } from "@/session/useSession";
import { Shell } from "@/shell/Shell";

export function App() {
  const session = useSession();
  if (!session.data) {
    return (
      <p className="p-10 text-xl" role="status">
        {session.failureCount > 0 ? "The app can't be reached yet; trying again …" : "…"}
      </p>
    );
  }
  return session.data.me ? <SignedIn /> : <SignIn session={session.data} />;
}

function SignedIn() {
  const client = useQueryClient();
  useLiveEvents(client);
  useEffect(() => {
    outbox.onRecorded = (jobId, answer) => {
      if (answer === null) {
        news.lookAgain(client, jobId);
      } else if (answer.job === null) {
        news.changed(client, jobId, answer.seq);
      } else {
        news.brought(client, answer.job);
      }
    };
    void outbox.flush();
    fetchAllPages();
  }, [client]);
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route index element={<BenchPage />} />
        <Route path="jobs/:jobId" element={<JobPage />} />
        <Route path="jobs/:jobId/record" element={<RecordPage />} />
        <Route path="jobs/:jobId/tag" element={<TagPage />} />
        <Route path="take-in" element={<TakeInPage />} />
        <Route path="book" element={<BookPage />} />
        <Route path="book/:deviceId" element={<DevicePage />} />
        <Route path="shelf" element={<ShelfPage />} />
        <Route path="tools" element={<ToolsPage />} />
        <Route path="shop" element={<ShopPage />} />
        <Route path="faults" element={<FaultsPage />} />
        <Route path="people" element={<PeoplePage />} />
        <Route path="*" element={<p className="p-8 text-xl">There is no such screen.</p>} />
      </Route>
    </Routes>
  );
}
