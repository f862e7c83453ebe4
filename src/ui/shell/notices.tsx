"use client";

import { useState } from "react";
import { send, why } from "../parts/send";
import { failed } from "./messages";

export interface NoticeData {
  readonly id: number;
  readonly text: string;
  /** When, in words. */
  readonly when: string;
}

/** What has to be known of the data, above every page until it is read. */
export function Notices({ notices }: { readonly notices: readonly NoticeData[] }) {
  const [read, setRead] = useState<ReadonlySet<number>>(new Set());
  const left = notices.filter(({ id }) => !read.has(id));
  if (left.length === 0) return null;
  const markRead = async (id: number) => {
    try {
      await send("POST", `/api/notices/${id}/read`);
      setRead((now) => new Set([...now, id]));
    } catch (error) {
      failed(why(error, "It could not be marked as read."));
    }
  };
  return (
    <section aria-label="About your data" className="no-print bg-saffron-wash border-b border-ink">
      {left.map(({ id, text, when }) => (
        <div key={id} className="px-4 md:px-5 py-2 flex flex-wrap gap-x-4 gap-y-1 items-baseline">
          <p className="t-ledger min-w-0 flex-1 basis-64 max-w-[90ch]">
            <strong className="font-[550]">When your data were opened, {when}:</strong> {text}
          </p>
          <button type="button" className="underline min-h-11 md:min-h-6" onClick={() => void markRead(id)}>
            I have read it
          </button>
        </div>
      ))}
    </section>
  );
}
