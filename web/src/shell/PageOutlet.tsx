import { Component, type ReactNode, Suspense } from "react";
import { Outlet } from "react-router";

const RETRY_MS = 2000;

/** What browsers say of a script that did not come. */
const NOT_FETCHED = /dynamically imported module|module script/i;

/** A page whose script can't be fetched, because the app is away or was renewed, is waited for and then loaded anew. */
class Waiting extends Component<{ children: ReactNode }, { failed: Error | null }> {
  override state: { failed: Error | null } = { failed: null };

  static getDerivedStateFromError(failed: Error): { failed: Error } {
    return { failed };
  }

  override componentDidCatch(failed: Error): void {
    if (NOT_FETCHED.test(failed.message)) {
      this.lookAgain();
    }
  }

  private lookAgain(): void {
    fetch("/api/session").then(
      () => window.location.reload(),
      () => setTimeout(() => this.lookAgain(), RETRY_MS),
    );
  }

  override render(): ReactNode {
    const { failed } = this.state;
    if (failed && !NOT_FETCHED.test(failed.message)) {
      throw failed;
    }
    return failed ? (
      <p className="p-8 text-xl" role="status">
        This page is not here yet; waiting for the app …
      </p>
    ) : (
      this.props.children
    );
  }
}

export function PageOutlet() {
  return (
    <Waiting>
      <Suspense fallback={<p className="p-8 text-xl">…</p>}>
        <Outlet />
      </Suspense>
    </Waiting>
  );
}
