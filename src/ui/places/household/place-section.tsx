"use client";

import { useState } from "react";
import type { Place } from "../../../core/household";
import { AmountField } from "../../parts/amount-field";

interface Draft {
  readonly latitude: string;
  readonly longitude: string;
  readonly timeZone: string;
}

const NUMBER = /^[-−]?\d{1,3}(?:[.,]\d+)?$/;
const read = (text: string): number | null => (NUMBER.test(text.trim()) ? Number(text.trim().replace("−", "-").replace(",", ".")) : null);
const isZone = (timeZone: string): boolean => {
  try {
    return timeZone.trim() !== "" && new Intl.DateTimeFormat("en", { timeZone: timeZone.trim() }).resolvedOptions().timeZone !== "";
  } catch {
    return false;
  }
};

/** Where the household lives: by it sun, moon and fasting days are reckoned. What cannot be stays as typed, with its reason, and changes nothing. */
export function PlaceSection({
  place,
  altitude,
  onPlace,
  onAltitude,
}: {
  readonly place: Place | null;
  readonly altitude: number;
  readonly onPlace: (place: Place | null) => void;
  readonly onAltitude: (metres: number) => void;
}) {
  const [draft, setDraft] = useState<Draft | null>(null);
  // Some four hundred, so only once they are wanted.
  const [zones, setZones] = useState<readonly string[]>([]);
  const shown: Draft = draft ?? {
    latitude: place ? String(place.latitude) : "",
    longitude: place ? String(place.longitude) : "",
    timeZone: place?.timeZone ?? "",
  };
  const [latitude, longitude] = [read(shown.latitude), read(shown.longitude)];
  const why = {
    latitude: latitude === null ? "Degrees, such as 21.5; south is below 0." : Math.abs(latitude) > 90 ? "Between −90 and 90." : null,
    longitude: longitude === null ? "Degrees, such as 78.5; west is below 0." : Math.abs(longitude) > 180 ? "Between −180 and 180." : null,
    // Making a date format takes a browser long: one that is kept was looked at when it was typed.
    timeZone: draft === null || isZone(shown.timeZone) ? null : "A time zone, such as Asia/Kolkata.",
  };
  const change = (part: Partial<Draft>) => {
    const next = { ...shown, ...part };
    setDraft(next);
    const [north, east] = [read(next.latitude), read(next.longitude)];
    if (north !== null && east !== null && Math.abs(north) <= 90 && Math.abs(east) <= 180 && isZone(next.timeZone))
      onPlace({ latitude: north, longitude: east, timeZone: next.timeZone.trim() });
  };
  const field = (key: keyof Draft, label: string, width: string) => {
    const wrong = draft !== null && why[key] !== null;
    return (
      <label className="t-small text-ink2">
        {label}
        <input
          value={shown[key]}
          maxLength={60}
          inputMode={key === "timeZone" ? "text" : "decimal"}
          list={key === "timeZone" ? "time-zones" : undefined}
          aria-invalid={wrong}
          onFocus={() => key === "timeZone" && zones.length === 0 && setZones(Intl.supportedValuesOf("timeZone"))}
          onChange={(event) => change({ [key]: event.target.value })}
          className={`block ${width} border bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px] ${wrong ? "border-rose" : "border-edge"}`}
        />
        {wrong && (
          <span role="alert" className="text-rose block">
            {why[key]}
          </span>
        )}
      </label>
    );
  };
  return (
    <fieldset id="place" className="scroll-mt-4">
      <legend className="t-h2 text-[15px]">Where you are</legend>
      <p className="t-small text-ink2">Sunrise, sunset, moonrise and fasting days are reckoned from it, here on this machine.</p>
      <div className="flex flex-wrap gap-x-5 gap-y-3 border-t border-ink mt-1 pt-2 items-start">
        {field("latitude", "Latitude", "w-28")}
        {field("longitude", "Longitude", "w-28")}
        {field("timeZone", "Time zone", "w-52")}
        <datalist id="time-zones">
          {zones.map((zone) => (
            <option key={zone} value={zone} />
          ))}
        </datalist>
        <span className="flex flex-wrap gap-4 self-end">
          <button
            type="button"
            className="underline t-small min-h-11 md:min-h-9"
            onClick={() => change({ timeZone: new Intl.DateTimeFormat().resolvedOptions().timeZone })}
          >
            Time zone of this device
          </button>
          {place && (
            <button
              type="button"
              className="underline t-small min-h-11 md:min-h-9"
              onClick={() => {
                setDraft(null);
                onPlace(null);
              }}
            >
              No place
            </button>
          )}
        </span>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-3 mt-3">
        <span className="t-ledger">Height above the sea</span>
        <AmountField label="Height above the sea, metres" unit="m" value={altitude} least={0} most={6000} onChange={onAltitude} />
        <span className="t-small text-ink2">Syrups boil 1 °C lower for every 300 m (rule of thumb).</span>
      </div>
    </fieldset>
  );
}
