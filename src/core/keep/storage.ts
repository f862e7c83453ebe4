import { isEatenFrozen, type EvaluationInput, type KeptFigures, type Qualities } from "../evaluate";
import type { Constants, FreezingKind, KeptDays } from "../food";
import { freezingKind } from "./freezing-kind";
import { whyNotSealed } from "./sealed";

/** Where a sweet is kept. Of a room that is warmer than 30 °C no days are told. */
export const STORAGE_PLACES = ["room", "warm room", "fridge", "freezer"] as const;
export type StoragePlace = (typeof STORAGE_PLACES)[number];

/** What a household lets its own sweets stand, days by kind of sweet and place: shorter than is usual, never longer. */
export type OwnDays = Readonly<Record<string, Partial<KeptDays>>>;

/** How long it keeps in one place. */
export interface StorageTime {
  readonly place: StoragePlace;
  /** Whole days after the day on which it was made; 0 is hours. Null: it is not kept there. */
  readonly days: number | null;
  /** Hours, where it is no day. */
  readonly hours: number | null;
  /** What says so: the shorter of all counts. */
  readonly by: "kind" | "water activity" | "your own count" | "warmth" | "frost" | "not known";
}

/** How long a sweet keeps, covered and clean, where and why. */
export interface Storage {
  readonly kind: string;
  /** Upper end of the interval of its water activity, by which it is counted; null where it is not known. */
  readonly activity: number | null;
  readonly times: readonly StorageTime[];
  readonly freezing: FreezingKind | null;
  /** How it is thawed, or why it is not frozen; and how many days it is good in the fridge then. */
  readonly thaw: string;
  readonly thawed: number;
  /** Days that are left at the most once it is opened, of those in the room and in the fridge; and from when a wet spoon was in it, in the fridge. */
  readonly opened: { readonly room: number; readonly fridge: number; readonly wetSpoon: number };
  /** Why it may not stand closed off from air in the room: sealed, vacuum-packed or canned; null where nothing speaks against it. It keeps no longer for it. */
  readonly notSealed: string | null;
  /** Why not all of it is known, in words; null where it is. */
  readonly unknown: string | null;
}

/** Hours out of the cold of what spoils fast: up to 30 °C, and where it is warmer (US FDA Food Code; USDA). */
const HOURS = 2;
const HOURS_WARM = 1;

/**
 * How long a sweet keeps: by its kind and by the upper end of its water activity, the shorter of the two; shorter where its household says so,
 * never longer. Of what is not known it is what spoils soonest.
 */
export function storageOf(
  keeping: Qualities["keeping"],
  input: EvaluationInput,
  figures: KeptFigures,
  own: OwnDays,
  { keeping: { value } }: Pick<Constants, "keeping">,
): Storage {
  const isKnown = typeof keeping !== "string";
  const freezing = isKnown ? freezingKind(keeping.kind, input, isEatenFrozen(figures)) : null;
  const frost = freezing === null ? null : value.freezing[freezing];
  const caps = (isKnown && value.kinds[keeping.kind]) || value.unknown;
  const shorter = isKnown ? (own[keeping.kind] ?? {}) : {};
  const count = (place: "room" | "fridge" | "freezer", usual: number | null, by: StorageTime["by"]): StorageTime => {
    const asked = shorter[place];
    const isOwn = usual !== null && asked !== undefined && asked < usual;
    const days = isOwn ? Math.max(0, asked) : usual;
    return { place, days, hours: days === 0 ? HOURS : null, by: isOwn ? "your own count" : by };
  };
  const by = isKnown ? keeping.by : "not known";
  const room = count("room", isKnown ? keeping.roomDays : caps.room, by);
  const fridge = count("fridge", isKnown ? keeping.fridgeDays : caps.fridge, by);
  const frozen = frost === null ? caps.freezer : frost.days === null ? null : Math.min(caps.freezer, frost.days);
  const half = (days: number | null) => Math.ceil(value.opened.share * (days ?? 0));
  return {
    kind: isKnown ? keeping.kind : "not known",
    activity: isKnown ? (figures.waterActivity?.high ?? null) : null,
    times: [
      room,
      { place: "warm room", days: 0, hours: (room.days ?? 0) === 0 ? HOURS_WARM : HOURS, by: "warmth" },
      fridge,
      count("freezer", frozen, frost === null ? "not known" : frozen === caps.freezer ? "kind" : "frost"),
    ],
    freezing,
    thaw: frost?.thaw ?? "Thaw it overnight in the fridge, and eat it that day: nobody knows all that is in it.",
    thawed: Math.min(value.thawed, fridge.days ?? 0),
    opened: { room: half(room.days), fridge: half(fridge.days), wetSpoon: Math.min(value.opened.wetSpoon, fridge.days ?? 0) },
    notSealed: whyNotSealed(input.lines, isKnown ? (figures.waterActivity?.high ?? null) : null, value.sealed),
    unknown: isKnown ? null : keeping,
  };
}

/** How long it keeps in one place. */
export const timeIn = (storage: Pick<Storage, "times">, place: StoragePlace): StorageTime =>
  storage.times.find((each) => each.place === place) ?? { place, days: null, hours: null, by: "not known" };
