import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { ProblemError } from "@/api/client";
import { App } from "./App";
import "./styles.css";
import { applyTheme } from "./ui/theme";

applyTheme();

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // A problem that passes is asked about again until it has passed; any other is shown.
      retry: (count, error) => !(error instanceof ProblemError) || error.passing || count < 0,
      retryDelay: 1500,
      staleTime: 5000,
      // This browser's own idea of being online says nothing about the app on this bench.
      networkMode: "always",
    },
  },
});

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}
