import { capital } from "../../core/units";
import { WhyMark } from "./marks";

interface HazardNoteProps {
  readonly what: string;
  readonly mend: string;
  readonly className?: string;
}

/** What can go wrong at a step, and what keeps it from that. */
export const HazardNote = ({ what, mend, className = "mt-2" }: HazardNoteProps) => (
  <p className={`flex gap-2 max-w-[70ch] ${className}`}>
    <WhyMark kind="ask" />
    <span>
      {capital(what)}. {capital(mend)}.
    </span>
  </p>
);
