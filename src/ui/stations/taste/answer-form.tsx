"use client";

import { useState, type SubmitEvent } from "react";
import { SERVING_TEMPERATURES, type ServingTemperature } from "../../../core/food";
import { asked, ATTRIBUTE_WORDS, LIKING_WORDS, STEPS, stepWords, type Attribute, type Step } from "../../../core/sensory";
import { buttonClass } from "../../parts/button";
import { Pick } from "../../parts/pick";
import { useSendOnce } from "../../parts/use-send-once";
import { WhyNote } from "../../parts/why-note";
import { SERVED_WORDS, type Taster } from "./taste-data";

interface AnswerFormProps {
  readonly batch: string;
  readonly taster: Taster;
  readonly isBound: boolean;
  readonly served: ServingTemperature;
  readonly onServed: (served: ServingTemperature) => void;
  readonly onDone: (isKept: boolean) => void;
}

/** What one person says: of each attribute whether it is just right, how much they like it, a word. Anything can be left out. */
export function AnswerForm({ batch, taster, isBound, served, onServed, onDone }: AnswerFormProps) {
  const [steps, setSteps] = useState<Readonly<Partial<Record<Attribute, Step>>>>({});
  const [liking, setLiking] = useState<number | null>(null);
  const [word, setWord] = useState("");
  const { id, why, setWhy, isSending, sendIt } = useSendOnce("It could not be kept.");
  const say = (attribute: Attribute, step: Step | null) =>
    setSteps(({ [attribute]: _, ...others }) => (step === null ? others : { ...others, [attribute]: step }));
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    if (Object.keys(steps).length === 0 && liking === null && word.trim() === "") return setWhy("Say at least one thing, or leave it.");
    const { eater, guest, isSettled } = taster;
    const body = { id, eater, guest, served, isSettled, answer: { steps, liking, word: word.trim() } };
    if (await sendIt(`/api/batches/${batch}/tastings`, body)) onDone(true);
  };
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <Pick label="As it is now" value={served} options={SERVING_TEMPERATURES.map((each) => [each, SERVED_WORDS[each]] as const)} onChange={onServed} />
      {asked(isBound).map((attribute) => (
        <JustRight key={attribute} attribute={attribute} value={steps[attribute] ?? null} onSay={(step) => say(attribute, step)} />
      ))}
      <fieldset className="mt-6">
        <legend className="text-[20px] font-[550]">How much do you like it?</legend>
        <div className="grid grid-cols-9 mt-1 border border-edge max-w-[640px]">
          {LIKING_WORDS.map((words, i) => (
            <label
              key={words}
              className={`relative min-h-14 flex items-center justify-center cursor-pointer border-r border-line last:border-r-0 ${liking === i + 1 ? "bg-ink text-sheet" : "bg-sheet hover:bg-pressed"}`}
            >
              <input
                type="radio"
                name="liking"
                className="absolute inset-0 opacity-0 cursor-pointer peer"
                aria-label={`${i + 1}: ${words}`}
                checked={liking === i + 1}
                onChange={() => setLiking(i + 1)}
              />
              <span aria-hidden className="t-figure text-[20px] peer-focus-visible:outline-2 outline-offset-4">
                {i + 1}
              </span>
            </label>
          ))}
        </div>
        <p className="grid grid-cols-[1fr_auto_1fr] t-small text-ink2 max-w-[640px]">
          <span>not at all</span>
          <span aria-live="polite">{liking === null ? "" : LIKING_WORDS[liking - 1]}</span>
          <span className="text-right">very much</span>
        </p>
      </fieldset>
      <label className="block mt-6 text-[20px] font-[550]">
        A word
        <input
          className="block border border-edge bg-sheet px-3 min-h-14 text-[18px] font-[400] w-full max-w-[640px]"
          maxLength={500}
          placeholder="what comes to mind"
          value={word}
          onChange={(event) => setWord(event.target.value)}
        />
      </label>
      <WhyNote why={why} />
      <p className="mt-6 flex flex-wrap gap-3">
        <button type="submit" aria-busy={isSending} className={buttonClass("primary", "min-h-14")}>
          Done, hand it on
        </button>
        <button type="button" className={buttonClass("plain", "min-h-14")} onClick={() => onDone(false)}>
          Leave it
        </button>
      </p>
      <p className="t-small text-ink2 mt-3">Anything can be left out. Nobody is shown what others said before they have tasted it.</p>
    </form>
  );
}

interface JustRightProps {
  readonly attribute: Attribute;
  readonly value: Step | null;
  readonly onSay: (step: Step | null) => void;
}

/** One attribute in five steps, from too little over just right to too much; pressed again it is left out. */
function JustRight({ attribute, value, onSay }: JustRightProps) {
  const { name, little, much } = ATTRIBUTE_WORDS[attribute];
  return (
    <fieldset className="mt-6">
      <legend className="text-[20px] font-[550]">
        {name}
        <span className="t-ledger font-[400] text-ink2 ml-3" aria-live="polite">
          {value === null ? "" : stepWords(attribute, value)}
        </span>
      </legend>
      <div className="grid grid-cols-5 mt-1 border border-edge max-w-[640px]">
        {STEPS.map((step) => (
          <label
            key={step}
            className={`relative min-h-14 flex items-center justify-center cursor-pointer border-r border-line last:border-r-0 ${value === step ? "bg-ink text-sheet" : "bg-sheet hover:bg-pressed"}`}
          >
            <input
              type="radio"
              name={attribute}
              className="absolute inset-0 opacity-0 cursor-pointer peer"
              aria-label={`${name}: ${stepWords(attribute, step)}`}
              checked={value === step}
              onChange={() => onSay(step)}
              onClick={() => value === step && onSay(null)}
            />
            <StepShape step={step} />
          </label>
        ))}
      </div>
      <p className="grid grid-cols-3 t-small text-ink2 max-w-[640px]" aria-hidden>
        <span>{little}</span>
        <span className="text-center">just right</span>
        <span className="text-right">{much}</span>
      </p>
    </fieldset>
  );
}

/** How far off: bars below or above a level, as many as steps; the level alone is just right. */
const StepShape = ({ step }: { readonly step: Step }) => (
  <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden className="peer-focus-visible:outline-2 outline-offset-4" stroke="currentColor" fill="none">
    <path d="M4 15h22" strokeWidth={step === 0 ? 4 : 1.5} />
    {step !== 0 && <path d={step < 0 ? "M15 15v6" : "M15 15V9"} strokeWidth="6" />}
    {Math.abs(step) === 2 && <path d={step < 0 ? "M15 21v6" : "M15 9V3"} strokeWidth="6" />}
  </svg>
);
