import type { BenchView } from "../../../core/views";
import { StateMark, WhyMark } from "../../parts/marks";

/** Who at the table is content with what lies on the bench, who is not, and why. */
export function EatersRow({ eaters }: Pick<BenchView, "eaters">) {
  if (eaters.length === 0) return null;
  return (
    <ul aria-label="Who is content" className="border-x border-b border-ink border-b-line bg-sheet px-3 py-1.5 flex flex-wrap gap-x-5 gap-y-1 t-small">
      {eaters.map(({ eater, name, state, why }) => (
        <li key={eater} className="flex items-center gap-1.5">
          {state === "content" ? <StateMark state="inside" /> : <WhyMark kind={state === "not for them" ? "conflict" : "ask"} />}
          <span>
            <span className="font-[550]">{name}</span>{" "}
            <span className={state === "not for them" ? "text-rose" : state === "content" ? "text-pistachio" : "text-ink2"}>
              {state === "content" ? "content" : state === "not for them" ? `not for them: ${why}` : state === "to ask" ? `to ask: ${why}` : why}
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}
