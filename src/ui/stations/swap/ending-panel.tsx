"use client";

import { capital } from "../../../core/units";
import { Go } from "../../shell/go";
import { LIMIT_NAMES, type LimitId, type Wish } from "../../../core/table";
import type { Order, Question } from "../../../core/substitution";
import type { ToldEnding } from "../../../core/views";
import { Answer } from "../../panels/answer";
import { Button } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import type { Search } from "./use-proposals";

interface EndingPanelProps {
  readonly state: Search;
  readonly recipeId: string;
  readonly ruleNames: Readonly<Record<string, string>>;
  readonly order: Order;
  /** Who was never asked about allergies. */
  readonly unasked: readonly { readonly name: string }[];
  /** ISO. */
  readonly today: string;
  readonly onAgain: () => void;
  /** Lets go of what stands in the way. */
  readonly onLetGo: (wish: Wish) => void;
  /** Asks for what would let one fit. */
  readonly onWish: (wish: Wish) => void;
  readonly onLimit: (limit: LimitId, most: number) => void;
}

/** Says how the search ended when it did not end in proposals. */
export function EndingPanel({ state, ...rest }: EndingPanelProps) {
  const { onAgain } = rest;
  if (state.kind === "idle" || state.kind === "working" || (state.kind === "ended" && state.ending.kind === "proposals")) return null;
  return (
    <div className="border border-ink bg-sheet p-4 mb-4" role="status" aria-live="polite">
      {state.kind === "cancelled" && <Stopped title="Stopped" text="Nothing was changed." onAgain={onAgain} />}
      {state.kind === "failed" && <Stopped title="The solver failed" text={`${state.why} Your amounts are untouched.`} onAgain={onAgain} />}
      {state.kind === "ended" && <Ended ending={state.ending} {...rest} />}
    </div>
  );
}

function Stopped({ title, text, onAgain }: { readonly title: string; readonly text: string; readonly onAgain: () => void }) {
  return (
    <div className="flex flex-wrap items-center gap-4">
      <div className="flex-1 min-w-56">
        <p className="t-h2">{title}</p>
        <p className="t-ledger mt-1">{text}</p>
      </div>
      <Button onClick={onAgain}>Try again</Button>
    </div>
  );
}

function Ended({
  ending,
  recipeId,
  ruleNames,
  order,
  unasked,
  today,
  onAgain,
  onLetGo,
  onWish,
  onLimit,
}: Omit<EndingPanelProps, "state"> & {
  readonly ending: ToldEnding;
}) {
  const table = (
    <Go className="underline" href={`/recipes/${recipeId}/table`}>
      the table
    </Go>
  );
  switch (ending.kind) {
    case "proposals":
      return null;
    case "nothing-to-change":
      return (
        <>
          <p className="t-h2">{unasked.length === 0 ? "Nothing has to change" : "Nothing that is known has to change"}</p>
          <p className="t-ledger mt-1">As handed down, the sweet breaks no rule and no limit of {table}. You can change amounts below all the same.</p>
          {unasked.length > 0 && (
            <p className="t-ledger mt-1 flex gap-2">
              <WhyMark kind="ask" />
              Nobody has asked {unasked.map(({ name }) => name).join(", ")} about allergies yet.
            </p>
          )}
        </>
      );
    case "cannot-tell":
      return (
        <>
          <p className="t-h2">It cannot be told yet whether it fits</p>
          <p className="t-ledger mt-1">Nothing is known to break {table}. What is asked here has to be answered first:</p>
          <Asked questions={ending.questions} order={order} recipeId={recipeId} />
        </>
      );
    case "change-by-hand":
      return (
        <>
          <p className="t-h2">What breaks {table} is to be changed by hand</p>
          <p className="t-ledger mt-1">It stands beside a line, or in a step, so that no exchange of lines mends it:</p>
          <ul className="mt-2 border-t border-ink">
            {ending.breaches.map(({ line, step, rule, reason }) => (
              <li key={`${line} ${step} ${rule} ${reason}`} className="border-b border-line py-1.5 t-ledger flex gap-2">
                <WhyMark kind="conflict" />
                <span>
                  <Place line={line} step={step} order={order} recipeId={recipeId} />: {reason}
                </span>
              </li>
            ))}
          </ul>
          {ending.questions.length > 0 && <Asked questions={ending.questions} order={order} recipeId={recipeId} />}
          <p className="t-ledger mt-2">
            Or choose another sweet: <OtherSweet recipeId={recipeId} />
          </p>
        </>
      );
    case "time-ran-out":
      return <Stopped title="Time ran out" text="No version was found in the time there was." onAgain={onAgain} />;
    case "failed":
      return (
        <>
          <p className="t-h2">No proposals for this one</p>
          <p className="t-ledger mt-1">
            {ending.why} Or choose another sweet: <OtherSweet recipeId={recipeId} />
          </p>
        </>
      );
    case "no-version-fits":
      return (
        <>
          <p className="t-h2">No version fits this table</p>
          <p className="t-ledger mt-1">
            {ending.clashes.some(({ kind }) => kind === "food")
              ? "One fits if this house takes what is asked about here:"
              : ending.relation === "any"
                ? ending.clashes.length > 1
                  ? "These clash. Easing any one of them is enough:"
                  : "One thing stands in the way:"
                : "These stand in the way together; each has to be eased:"}
          </p>
          <ul className="mt-2 border-t border-ink">
            {ending.clashes.map((clash) => (
              <li key={clash.limit} className="border-b border-line py-1.5 t-ledger flex flex-wrap justify-between gap-x-6">
                {clash.kind === "limit" ? (
                  <LimitClash limit={clash.limit} given={clash.given} needed={clash.needed} onLimit={onLimit} />
                ) : clash.kind === "sweetness" ? (
                  <>
                    <span className="font-[550]">As sweet as the recipe</span>
                    <span className="flex flex-wrap gap-x-4 items-center">
                      <span className="t-figure">
                        {clash.given} g as sugar per 100 g; one fits at {clash.needed} g
                      </span>
                      <Button onClick={() => onWish(clash.wish)}>Let it be less sweet</Button>
                    </span>
                  </>
                ) : clash.kind === "wish" ? (
                  <>
                    <span className="font-[550]">{capital(clash.limit)}</span>
                    <Button onClick={() => onLetGo(clash.wish)}>Let go of it</Button>
                  </>
                ) : clash.kind === "food" ? (
                  <>
                    <span className="font-[550]">{clash.limit}</span>
                    <span>
                      {clash.asks.map(({ rule, short, reason, isAllergy }) => (
                        <span key={rule} className="block">
                          {short}: {reason}. <Answer rule={rule} reason={reason} food={clash.food} isAllergy={isAllergy} today={today} />
                        </span>
                      ))}
                      <Go className="underline t-small inline-flex min-h-8 items-center" href={`/pantry/${clash.food}`}>
                        Look at the food
                      </Go>
                    </span>
                  </>
                ) : (
                  <>
                    <span className="font-[550]">{ruleNames[clash.limit] ?? clash.limit}</span>
                    <span>no food that this table eats can take the role</span>
                  </>
                )}
              </li>
            ))}
          </ul>
          <p className="t-ledger mt-2">
            Change it at {table}, go on by hand below, or choose another sweet: <OtherSweet recipeId={recipeId} />
          </p>
        </>
      );
  }
}

const OtherSweet = ({ recipeId }: { readonly recipeId: string }) => (
  <Go className="underline" href={`/recipes/suits?table=${recipeId}`}>
    which of my recipes suits this table?
  </Go>
);

function Place({ line, step, order, recipeId }: Pick<Question, "line" | "step"> & { readonly order: Order; readonly recipeId: string }) {
  const words = line !== null ? `Line ${order.lines.indexOf(line) + 1}` : step !== null ? `Step ${order.steps.indexOf(step) + 1}` : "The whole";
  return line === null && step === null ? (
    words
  ) : (
    <Go className="underline" href={`/recipes/${recipeId}/recipe`}>
      {words}
    </Go>
  );
}

function Asked({ questions, order, recipeId }: { readonly questions: readonly Question[]; readonly order: Order; readonly recipeId: string }) {
  return (
    <ul className="mt-2 border-t border-ink">
      {questions.map(({ line, step, limit, text }) => (
        <li key={`${line} ${step} ${limit} ${text}`} className="border-b border-line py-1.5 t-ledger flex gap-2">
          <WhyMark kind="ask" />
          <span>
            <Place line={line} step={step} order={order} recipeId={recipeId} />: {text}
          </span>
        </li>
      ))}
    </ul>
  );
}

function LimitClash({
  limit,
  given,
  needed,
  onLimit,
}: {
  readonly limit: LimitId;
  readonly given: number;
  readonly needed: number;
  readonly onLimit: EndingPanelProps["onLimit"];
}) {
  const { name, unit } = LIMIT_NAMES[limit];
  return (
    <>
      <span className="font-[550]">{capital(name)}</span>
      <span className="flex flex-wrap gap-x-4 items-center">
        <span className="t-figure">
          set to {given} {unit}, would have to be {needed} {unit} a serving
        </span>
        <Button onClick={() => onLimit(limit, needed)}>
          Make it {needed} {unit}
        </Button>
      </span>
    </>
  );
}
