import { Go } from "../../shell/go";

export interface NextGatheringData {
  readonly id: string;
  readonly title: string;
  readonly when: string;
  /** When its cooking begins by plan, in words; null where nothing is planned. */
  readonly begins: string | null;
}

/** The next gathering, in a line. */
export const NextGathering = ({ id, title, when, begins }: NextGatheringData) => (
  <p className="flex flex-wrap gap-x-4 items-baseline mb-5 border-l-4 border-saffron-fill pl-3 t-ledger">
    <Go href={`/plan/${id}`} className="t-new underline min-h-8 inline-flex items-center">
      {title}
    </Go>
    <span>{when}</span>
    <span className="text-ink2">{begins === null ? "not planned yet" : `cooking begins ${begins}`}</span>
  </p>
);
