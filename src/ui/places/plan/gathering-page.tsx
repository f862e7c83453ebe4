"use client";

import { useRouter } from "next/navigation";
import { dayWords } from "../../../core/calendar";
import { peopleOf } from "../../../core/plan";
import { PageColumns } from "../../parts/page-columns";
import { PrintButton } from "../../parts/print-button";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { useDelete } from "../../shell/use-delete";
import { GatheringBar } from "./gathering-bar";
import { PlanPart } from "./plan-part";
import { SetUp } from "./set-up";
import { ShoppingActions, ShoppingList } from "./shopping";
import { useGathering, type GatheringData } from "./use-gathering";

const PARTS = ["timeline", "setup", "shopping"] as const;
export type Part = (typeof PARTS)[number];
const PART_NAMES: Readonly<Record<Part, string>> = { timeline: "Timeline", setup: "Table and sweets", shopping: "Shopping" };

/** A gathering: its timeline and the list by the clock, its table and sweets, its shopping. */
export function GatheringPage({ show, ...data }: GatheringData & { readonly show: Part }) {
  const { id, eaters, rules, versions, dayAt } = data;
  const router = useRouter();
  const { remove } = useDelete();
  const of = useGathering(data);
  const { gathering, change, ticks, shopping, lost, kitchen, problems, there, burners, unread } = of;
  const people = peopleOf(gathering);
  const line = [
    `${dayWords(gathering.day)}, served ${gathering.hour}`,
    ...(dayAt?.moonrise && dayAt.day === gathering.day ? [`moonrise ${dayAt.moonrise}`] : []),
    people === 1 ? "1 person" : `${people} people`,
    gathering.sweets.length === 1 ? "1 sweet" : `${gathering.sweets.length} sweets`,
    `${gathering.cooks === 1 ? "one cook" : `${gathering.cooks} cooks`}, ${burners === 1 ? "one burner" : `${burners} burners`}`,
  ].join(", ");
  return (
    <>
      <PageHead title={gathering.title} line={line}>
        <nav aria-label="Of this gathering" className="no-print">
          <ul className="flex gap-1">
            {PARTS.map((part) => (
              <li key={part}>
                <Go
                  href={part === "timeline" ? `/plan/${id}` : `/plan/${id}/${part}`}
                  aria-current={part === show ? "page" : undefined}
                  className={`inline-flex items-center min-h-11 px-3 text-[15px] border-b-4 ${part === show ? "border-saffron-fill font-[600]" : "border-transparent hover:border-line"}`}
                >
                  {PART_NAMES[part]}
                </Go>
              </li>
            ))}
          </ul>
        </nav>
      </PageHead>
      {show === "shopping" ? (
        <main id="main" className="p-4 md:p-5 max-w-[1240px]">
          <GatheringBar of={of} withPlan={false} />
          <h2 className="sr-only">Shopping</h2>
          <ShoppingList gathering={gathering} shopping={shopping} unread={unread} ticks={ticks} isWide />
          <div className="flex flex-wrap gap-2 items-end">
            <ShoppingActions id={id} gathering={gathering} shopping={shopping} unread={unread} isHere />
            <PrintButton />
          </div>
        </main>
      ) : show === "setup" ? (
        <main id="main" className="p-4 md:p-5">
          <GatheringBar of={of} withPlan={false} />
          <SetUp {...{ gathering, eaters, rules, versions, lost, dayAt, problems }} sweets={there} burners={kitchen.burners} set={change} />
          <p className="mt-8 no-print">
            <button
              type="button"
              className="underline t-ledger text-rose min-h-11"
              onClick={() => remove("gatherings", id, gathering.title, () => router.push("/plan"))}
            >
              Delete this gathering
            </button>
          </p>
        </main>
      ) : (
        <PageColumns>
          <div className="p-4 md:p-5 min-w-0">
            <GatheringBar of={of} withPlan />
            <PlanPart of={of} />
          </div>
          <aside aria-label="Shopping" className="crease-l p-4 md:p-5 max-lg:border-t max-lg:border-line print:hidden">
            <h2 className="t-h2 mb-2">Shopping</h2>
            <ShoppingList gathering={gathering} shopping={shopping} unread={unread} ticks={ticks} />
            <ShoppingActions id={id} gathering={gathering} shopping={shopping} unread={unread} />
          </aside>
        </PageColumns>
      )}
    </>
  );
}
