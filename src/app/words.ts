import type { VersionRowData } from "@/ui/version/version-list";

const FORMAT = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", hour: "2-digit", minute: "2-digit" });

/** A moment as the house writes it: "25 November, 14:05". */
export const dateWords = (iso: string): string => FORMAT.format(new Date(iso)).replace(" at ", ", ");

export const versionRow = ({
  id,
  title,
  label,
  keptAt,
}: {
  readonly id: string;
  readonly title: string;
  readonly label: string;
  readonly keptAt: string;
}): VersionRowData => ({ id, title, label, kept: dateWords(keptAt) });
