import { lazy } from "react";

// One script a page: whoever opens the bench does not wait for the device editor.
const FETCH = {
  book: async () => ({ default: (await import("@/book/BookPage")).BookPage }),
  device: async () => ({ default: (await import("@/book/DevicePage")).DevicePage }),
  faults: async () => ({ default: (await import("@/fault/FaultsPage")).FaultsPage }),
  job: async () => ({ default: (await import("@/job/JobPage")).JobPage }),
  people: async () => ({ default: (await import("@/people/PeoplePage")).PeoplePage }),
  record: async () => ({ default: (await import("@/prove/RecordPage")).RecordPage }),
  shelf: async () => ({ default: (await import("@/parts/ShelfPage")).ShelfPage }),
  shop: async () => ({ default: (await import("@/shop/ShopPage")).ShopPage }),
  tag: async () => ({ default: (await import("@/intake/TagPage")).TagPage }),
  takeIn: async () => ({ default: (await import("@/intake/TakeInPage")).TakeInPage }),
  tools: async () => ({ default: (await import("@/tools/ToolsPage")).ToolsPage }),
};

export const BookPage = lazy(FETCH.book);
export const DevicePage = lazy(FETCH.device);
export const FaultsPage = lazy(FETCH.faults);
export const JobPage = lazy(FETCH.job);
export const PeoplePage = lazy(FETCH.people);
export const RecordPage = lazy(FETCH.record);
export const ShelfPage = lazy(FETCH.shelf);
export const ShopPage = lazy(FETCH.shop);
export const TagPage = lazy(FETCH.tag);
export const TakeInPage = lazy(FETCH.takeIn);
export const ToolsPage = lazy(FETCH.tools);

/** All pages, while nothing else is wanted: a bench whose line goes down can still be walked through. */
export function fetchAllPages(): void {
  for (const fetchPage of Object.values(FETCH)) {
    fetchPage().catch(() => undefined);
  }
}
