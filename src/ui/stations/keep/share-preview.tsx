"use client";

import { useEffect, useState } from "react";
import { writeMessage, type SharedSweet } from "../../../core/exchange";
import { buttonClass } from "../../parts/button";
import { saveAs } from "../../parts/save-as";
import { send, why as whyOf } from "../../parts/send";
import SheetPanel from "../../parts/sheet-panel";
import { toast } from "../../shell/messages";
import { writeSheet } from "./sheet/write-sheet";

interface SharePreviewProps {
  readonly title: string;
  readonly sweetAt: string;
  readonly textAt: string;
  readonly onClose: () => void;
}

type State =
  | { readonly kind: "loading" }
  | { readonly kind: "failed"; readonly why: string }
  | { readonly kind: "ready"; readonly sweet: SharedSweet; readonly html: string };

/** What goes out, exactly as it goes: the page in a frame that runs nothing, and the text for a message. */
export function SharePreview({ title, sweetAt, textAt, onClose }: SharePreviewProps) {
  const [state, setState] = useState<State>({ kind: "loading" });
  useEffect(() => {
    let isHere = true;
    send("GET", sweetAt).then(
      (answer) => {
        const { sweet, file } = answer as { readonly sweet: SharedSweet; readonly file: object };
        if (isHere) setState({ kind: "ready", sweet, html: writeSheet(sweet, file) });
      },
      (error: unknown) => {
        if (isHere) setState({ kind: "failed", why: whyOf(error, "It could not be made.") });
      },
    );
    return () => {
      isHere = false;
    };
  }, [sweetAt]);
  return (
    <SheetPanel title="What goes out" onClose={onClose}>
      {state.kind === "loading" && <p role="status">One moment.</p>}
      {state.kind === "failed" && (
        <p role="alert" className="bg-rose-wash text-rose px-3 py-2">
          {state.why}
        </p>
      )}
      {state.kind === "ready" && <Ready {...state} title={title} textAt={textAt} />}
    </SheetPanel>
  );
}

function Ready({ sweet, html, title, textAt }: { readonly sweet: SharedSweet; readonly html: string; readonly title: string; readonly textAt: string }) {
  const message = writeMessage(sweet);
  const save = () => saveAs(`${sweet.title.replace(/[^\p{L}\p{N}]+/gu, "-").replace(/^-|-$/g, "") || "sweet"}.html`, html, "text/html");
  const copy = () =>
    navigator.clipboard.writeText(message).then(
      () => toast("The text is copied: paste it into a message."),
      () => toast("The browser does not let it be copied: save the text instead."),
    );
  const canShare = typeof navigator.share === "function";
  return (
    <>
      {sweet.namesLeft.length > 0 && (
        <p role="alert" className="bg-saffron-wash px-3 py-2 mb-3">
          {sweet.namesLeft.join(", ")} {sweet.namesLeft.length === 1 ? "stands" : "stand"} in what somebody typed (title, lines or steps), and would go out with
          it. Change it at the Recipe station if that is not meant.
        </p>
      )}
      <p className="flex flex-wrap gap-3 mt-4">
        <button type="button" className={buttonClass("primary")} onClick={save}>
          Save the page
        </button>
        <button type="button" className={buttonClass("plain")} onClick={() => void copy()}>
          Copy the text
        </button>
        {canShare && (
          <button
            type="button"
            className={buttonClass("plain")}
            onClick={() => void navigator.share({ title: sweet.title, text: message }).catch(() => undefined)}
          >
            Send the text
          </button>
        )}
        <a className={buttonClass("plain")} href={textAt} download>
          Save the text
        </a>
      </p>
      <iframe title={`${title}, as it goes out`} sandbox="" srcDoc={html} className="w-full h-[60dvh] border border-edge bg-[#fff] mt-3" />
      <details className="mt-2">
        <summary className="min-h-11 flex items-center underline">The text</summary>
        <pre className="whitespace-pre-wrap t-ledger border border-line p-3">{message}</pre>
      </details>
    </>
  );
}
