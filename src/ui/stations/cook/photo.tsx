"use client";

import { useRef, useState, type KeyboardEvent } from "react";
import { shadeWords } from "../../../core/models/appearance";
import type { StoveView } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { nearestShade, shadeColour } from "../../parts/shades";
import { toast } from "../../shell/messages";
import { base64Of, colourAt, scaledJpeg } from "./picture";

/** A picture of a batch that is kept. */
export interface KeptPhoto {
  readonly width: number;
  readonly height: number;
  readonly shade: string | null;
  readonly takenAt: string;
}
interface PhotoProps {
  readonly batch: string;
  readonly given: KeptPhoto | null;
  readonly told: StoveView["colour"];
}

/** What it looks like: a picture from this device, and a shade that is picked from it, beside what was told. */
export function Photo({ batch, given, told }: PhotoProps) {
  const [photo, setPhoto] = useState(given);
  const [isBusy, setBusy] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const url = `/api/batches/${batch}/photo`;
  const take = async (file: File) => {
    setBusy(true);
    setWhy(null);
    try {
      setPhoto((await send("PUT", url, { jpeg: await scaledJpeg(file), shade: null })) as KeptPhoto);
    } catch (error) {
      setWhy(whyOf(error, "The picture could not be kept."));
    } finally {
      setBusy(false);
    }
  };
  const pick = async (shade: string | null) => {
    if (!photo) return;
    setPhoto({ ...photo, shade });
    try {
      await send("PUT", `${url}/shade`, { shade });
      setWhy(null);
    } catch (error) {
      setWhy(whyOf(error, "The shade could not be kept."));
    }
  };
  const remove = async () => {
    if (!photo) return;
    const before = photo;
    try {
      const bytes = await fetch(url).then((response) => (response.ok ? response.blob() : null));
      await send("DELETE", url);
      setPhoto(null);
      const back = async () => {
        if (bytes) setPhoto((await send("PUT", url, { jpeg: await base64Of(bytes), shade: before.shade })) as KeptPhoto);
      };
      toast("The picture is gone.", { label: "Undo", run: () => void back().catch((error: unknown) => setWhy(whyOf(error, "It could not be put back."))) });
    } catch (error) {
      setWhy(whyOf(error, "The picture could not be taken out."));
    }
  };
  return (
    <section aria-label="What it looks like" className="mt-6">
      <h2 className="t-h2">What it looks like</h2>
      {photo && <PickFrom key={photo.takenAt} src={`${url}?at=${encodeURIComponent(photo.takenAt)}`} photo={photo} onPick={(shade) => void pick(shade)} />}
      <Shades told={told} picked={photo?.shade ?? null} />
      <p className="flex flex-wrap gap-x-4 gap-y-2 mt-2 no-print">
        <input
          ref={input}
          type="file"
          accept="image/*"
          className="sr-only"
          aria-label="A picture of it"
          tabIndex={-1}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = "";
            if (file) void take(file);
          }}
        />
        <button type="button" className={buttonClass("plain")} disabled={isBusy} onClick={() => input.current?.click()}>
          {isBusy ? "Being kept" : photo ? "Another picture" : "Take a picture"}
        </button>
        {photo && (
          <button type="button" className="underline t-ledger min-h-11" onClick={() => void remove()}>
            Take the picture out
          </button>
        )}
      </p>
      {why && (
        <p role="alert" className="t-ledger text-rose">
          {why}
        </p>
      )}
      <p className="t-small text-ink2 mt-1">
        It is made smaller on this device and kept in your own data, without the place and time that a camera writes into it.
      </p>
    </section>
  );
}

interface PickFromProps {
  readonly src: string;
  readonly photo: KeptPhoto;
  readonly onPick: (shade: string | null) => void;
}
/** How far an arrow key goes, as a share of the picture. */
const STEP = 0.03;

/** The picture, from which a shade is picked by a press, or by arrow keys and Enter. */
function PickFrom({ src, photo: { width, height }, onPick }: PickFromProps) {
  const picture = useRef<HTMLImageElement>(null);
  const [at, setAt] = useState<readonly [number, number]>([0.5, 0.5]);
  const pickAt = (point: readonly [number, number]) => {
    setAt(point);
    const shade = picture.current && colourAt(picture.current, ...point);
    if (shade) onPick(shade);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
    };
    const move = moves[event.key];
    if (move) {
      event.preventDefault();
      setAt(([left, top]) => [Math.min(1, Math.max(0, left + move[0])), Math.min(1, Math.max(0, top + move[1]))]);
    }
  };
  return (
    <button
      type="button"
      className="relative block mt-2 max-w-[360px] w-full"
      aria-label="Pick the shade: press where it is as it should be told, or go there by arrow keys and press Enter"
      onKeyDown={onKeyDown}
      onClick={(event) => {
        // By key there is no place: where the mark stands.
        if (event.detail === 0) return pickAt(at);
        const box = event.currentTarget.getBoundingClientRect();
        pickAt([(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height]);
      }}
    >
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img ref={picture} src={src} width={width} height={height} alt="The batch" className="block w-full h-auto border border-line" />
      <span
        aria-hidden
        className="absolute size-5 -ml-2.5 -mt-2.5 border-2 border-white outline outline-1 outline-black rounded-full pointer-events-none"
        style={{ left: `${100 * at[0]}%`, top: `${100 * at[1]}%` }}
      />
    </button>
  );
}

const CELLS = 11;
const CELL = 20;
/** Further off than this a colour is none of the scale. */
const OTHER = 0.22;

/** The shades from white to dark, with what was told and what was picked. */
function Shades({ told, picked }: { readonly told: StoveView["colour"]; readonly picked: string | null }) {
  const near = picked === null ? null : nearestShade(picked);
  const x = (step: number) => (step / 5) * (CELLS - 1) * CELL + CELL / 2;
  return (
    <div className="mt-2 max-w-[360px]">
      <svg viewBox={`0 0 ${CELLS * CELL} 34`} className="w-full text-ink" aria-hidden>
        {Array.from({ length: CELLS }, (_, i) => (
          <rect key={i} x={i * CELL} y={8} width={CELL} height={14} fill={shadeColour((5 * i) / (CELLS - 1))} />
        ))}
        <path d={`M${x(told.step) - 5} 1h10l-5 7z`} fill="currentColor" />
        {near && picked !== null && <circle cx={x(near.step)} cy={28} r={5} fill={picked} stroke="currentColor" />}
      </svg>
      <p className="t-ledger">
        Told: {told.words}
        {near && picked !== null && (
          <>
            {"; picked: "}
            <span className="inline-block size-3.5 align-middle border border-edge" style={{ background: picked }} aria-hidden />{" "}
            {near.off > OTHER ? "a colour that is none of these" : shadeWords(near.step)}
          </>
        )}
        . Light and camera change what is picked.
      </p>
    </div>
  );
}
