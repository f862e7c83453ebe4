"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { Button } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { noteSave } from "../../shell/documents";
import { failed, toast } from "../../shell/messages";
import { useLayOn } from "../../shell/use-lay-on";

interface Story {
  readonly label: string;
  readonly why: string;
  readonly whom: string;
}

/** What a version is called, why it was made and for whom: said once it is kept, and changed whenever. */
export function VersionStory({ id, story }: { readonly id: string; readonly story: Story }) {
  const router = useRouter();
  const [draft, setDraft] = useState(story);
  const [busy, setBusy] = useState(false);
  const changed = draft.label !== story.label || draft.why !== story.why || draft.whom !== story.whom;
  const nameless = draft.label.trim() === "";
  const save = async () => {
    setBusy(true);
    try {
      await send("PUT", `/api/versions/${id}`, { ...draft, label: draft.label.trim() });
      noteSave();
      toast("Noted.");
      router.refresh();
    } catch (error) {
      failed(whyOf(error, "It could not be saved."), () => void save());
    } finally {
      setBusy(false);
    }
  };
  const field = "bg-sheet border border-edge px-3 min-h-11 w-full";
  return (
    <form
      className="mt-6 no-print grid gap-3 sm:grid-cols-2"
      aria-label="Why and for whom"
      onSubmit={(event) => {
        event.preventDefault();
        if (!nameless) void save();
      }}
    >
      <h2 className="t-h2 sm:col-span-2">Why, and for whom</h2>
      <label className="t-small text-ink2">
        Called
        <input
          value={draft.label}
          maxLength={100}
          aria-invalid={nameless}
          onChange={(event) => setDraft({ ...draft, label: event.target.value })}
          className={`${field} text-ink text-[16px]`}
        />
        {nameless && (
          <span role="alert" className="text-rose">
            Give it a name.
          </span>
        )}
      </label>
      <label className="t-small text-ink2">
        For whom
        <input
          value={draft.whom}
          maxLength={300}
          onChange={(event) => setDraft({ ...draft, whom: event.target.value })}
          className={`${field} text-ink text-[16px]`}
        />
      </label>
      <label className="t-small text-ink2 sm:col-span-2">
        Why
        <textarea
          value={draft.why}
          maxLength={1000}
          rows={2}
          placeholder="What it was made for; what to change next time"
          onChange={(event) => setDraft({ ...draft, why: event.target.value })}
          className={`${field} text-ink text-[16px] py-2`}
        />
      </label>
      <p className="sm:col-span-2">
        <Button type="submit" disabled={!changed || nameless || busy}>
          Note it
        </Button>
      </p>
    </form>
  );
}

/** Lays the version on its recipe's bench, to be worked on from there. */
export function WorkOnFrom({ id, className }: { readonly id: string; readonly className: string }) {
  const { isBusy, lay } = useLayOn(`/api/versions/${id}/bench`);
  return (
    <button type="button" disabled={isBusy} className={className} onClick={() => void lay()}>
      Work on from it
    </button>
  );
}
