"use client";

import { useState } from "react";
import { Button } from "../parts/button";
import { useHouseRulesDocument } from "../shell/house-rules";
import { toast } from "../shell/messages";

/**
 * What the household knows where a rule asks: answered once, with the day and how it is known. For an allergy only what
 * the packet or its maker says counts, and it has to be said.
 */
export function Answer({
  rule,
  reason,
  food,
  isAllergy,
  today,
}: {
  readonly rule: string;
  readonly reason: string;
  readonly food: string;
  readonly isAllergy: boolean;
  /** ISO. */
  readonly today: string;
}) {
  const { present, set, undo } = useHouseRulesDocument();
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState("");
  const question = reason.replace(/, and the line names it$/, "");
  const others = present.answers.filter((each) => !(each.rule === rule && each.food === food && each.question === question));
  const take = (verdict: "allowed" | "avoid") => {
    set({ ...present, answers: [...others, { rule, food, question, verdict, day: today, note: note.trim() }] });
    setOpen(false);
    toast(verdict === "allowed" ? "Remembered: it may be eaten. It is in the Household, under Rules of the house." : "Remembered: it is left out.", {
      label: "Take it back",
      run: () => undo?.(),
    });
  };
  if (!open)
    return (
      <button type="button" className="underline t-small min-h-11 md:min-h-8" onClick={() => setOpen(true)}>
        {isAllergy ? "The packet says" : "We know"}
        <span className="sr-only">: {question}</span>
      </button>
    );
  return (
    <span className="block mt-1 p-2 bg-pressed">
      <label className="t-small text-ink2 block">
        {isAllergy ? "What the packet or its maker says, and of which packet" : "How you know"}
        <input
          value={note}
          maxLength={300}
          placeholder={isAllergy ? "“free of nuts”, the blue packet of this month" : "read on the packet; asked the maker; our elders’ list"}
          onChange={(event) => setNote(event.target.value)}
          className="block w-full border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px]"
        />
      </label>
      <span className="flex flex-wrap gap-2 mt-2">
        <Button disabled={isAllergy && note.trim() === ""} onClick={() => take("allowed")}>
          {isAllergy ? "The packet says it is free of it" : "It may be eaten"}
        </Button>
        <Button onClick={() => take("avoid")}>It is left out</Button>
        <button type="button" className="underline t-small min-h-11 px-2" onClick={() => setOpen(false)}>
          Not now
        </button>
      </span>
    </span>
  );
}
