import type { Family, Food, Origin } from "../food";
import type { Kitchen } from "../kitchen";
import { interval, type Figure } from "../numeric";
import { readPacket, type PacketWords, type ReadPacket } from "../packet";
import { foodMeant, isCompound, packetFit, splitStarch, type Label, type Packet, type PacketIngredient } from "../pantry";
import type { NamedFood } from "./recipe-view";

const wordsOf = ({ reading, pantryTables }: Kitchen): PacketWords => ({ matcher: reading.matcher, find: reading.find, tables: pantryTables.packet });

/** A packet's text as it was pasted. */
export interface PacketQuestion {
  readonly text: string;
}

export interface PacketView extends ReadPacket {
  /** What kind of food it is likely to be, by what it lists first; null where nothing is listed that is known. */
  readonly family: Family | null;
  /** Where it comes from: from an animal as soon as one thing in it does. */
  readonly origin: Origin;
}

/** The most telling first: what comes of an animal is of it, whatever else it holds. */
const TELLING: readonly Origin[] = ["animal", "gelatin", "egg", "dairy", "honey", "unknown"];

/** What a packet's text says. */
export function packetView({ text }: PacketQuestion, kitchen: Kitchen): PacketView {
  const read = readPacket(text, wordsOf(kitchen));
  const { foods } = kitchen.reference;
  const listed = read.ingredients.flatMap(({ means }, place) =>
    isCompound(read.ingredients, place) ? [] : [foodMeant(means, foods, kitchen.pantryTables.packet)].filter((food): food is Food => food !== null),
  );
  const main = listed.find(({ family }) => family !== "water");
  return {
    ...read,
    family: read.density !== null && main?.family !== "dairy" ? "drink" : (main?.family ?? null),
    origin: TELLING.find((origin) => listed.some((food) => food.origin === origin)) ?? "plant",
  };
}

/** What is listed, beside the table that it is fitted to. */
export interface PacketListQuestion {
  readonly label: Label;
  readonly packet: Packet;
}

/** An ingredient as the packet lists it, with what is made of it. */
export interface ToldIngredient {
  readonly words: string;
  readonly depth: number;
  readonly percent: number | null;
  /** What it stands for: a food's name, an additive's with what it does; null where it is asked. */
  readonly meaning: { readonly name: string; readonly does: string | null } | null;
  /** Others are listed behind it: it is made of those, and what it is called by is not asked. */
  readonly isCompound: boolean;
  /** Per cent of the whole, fitted to the table; null where nothing can be said. */
  readonly share: Figure | null;
  /** What it may stand for, the likeliest first, where it is asked. */
  readonly guesses: readonly NamedFood[];
}

export interface PacketListView {
  readonly ingredients: readonly ToldIngredient[];
  /** Sugars that are taken to be split from starch, in words; null where none are. */
  readonly split: string | null;
  /** Figures of the table that no mixture of what is listed comes near, in words. */
  readonly off: readonly string[];
}

const FIGURES: Readonly<Record<string, readonly [name: string, unit: "g" | "mg"]>> = {
  fat: ["fat", "g"],
  saturatedFat: ["saturated fat", "g"],
  carbohydrate: ["carbohydrate", "g"],
  sugars: ["sugars", "g"],
  fibre: ["fibre", "g"],
  protein: ["protein", "g"],
  sodium: ["sodium", "mg"],
};
const MOST_GUESSES = 3;

/** What each ingredient of a packet is taken for, and how much of it there is. */
export function packetListView({ label, packet }: PacketListQuestion, kitchen: Kitchen): PacketListView {
  const { foods } = kitchen.reference;
  const tables = kitchen.pantryTables;
  const fit = packetFit(label, packet, { foods, tables });
  const told = (ingredient: PacketIngredient, place: number): ToldIngredient => {
    const { words, depth, percent, means } = ingredient;
    const additive = means?.kind === "additive" ? tables.packet.additives.get(means.code) : undefined;
    const food = foodMeant(means, foods, tables.packet);
    const share = fit?.shares[place] ?? null;
    const guesses = means === null ? kitchen.reading.matcher.search(words, MOST_GUESSES).flatMap((id) => foods.get(id) ?? []) : [];
    return {
      words,
      depth,
      percent,
      isCompound: isCompound(packet.ingredients, place),
      meaning: additive
        ? { name: additive.name, does: additive.code.startsWith("E") ? `${additive.code}, ${additive.does}` : additive.does }
        : food
          ? { name: food.name, does: null }
          : means?.kind === "harmless"
            ? { name: "nothing that a rule asks about", does: "as you said" }
            : null,
      share: share === null ? null : interval({ value: 100 * share.value, sd: 100 * share.sd }, 0, 100),
      guesses: guesses.map(({ id, name }) => ({ id, name })),
    };
  };
  const split = fit ? splitStarch(fit) : 0;
  const number = (amount: number) => amount.toFixed(amount < 10 ? 1 : 0);
  return {
    ingredients: packet.ingredients.map(told),
    split:
      split > 0
        ? `${number(split)} g of the sugars in 100 g are more than what is listed brings: taken as maltose, split from its starch by enzymes (rule of thumb).`
        : null,
    off: (fit?.off ?? [])
      .filter(({ name }) => split === 0 || name !== "sugars")
      .map(({ name, amount, fitted }) => {
        const [figure, unit] = FIGURES[name] ?? [name, "g"];
        return `${figure}: ${number(amount)} ${unit} in 100 g by the table, ${number(fitted)} ${unit} by what is listed and understood`;
      }),
  };
}
