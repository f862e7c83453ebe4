import type { DayAtPlace } from "../../../core/calendar";
import type { Gathering, GatheringProblem } from "../../../core/plan";
import type { Eater } from "../../../core/table";
import type { GatheringSweetView, RuleWords } from "../../../core/views";

export interface KeptVersion {
  readonly id: string;
  readonly recipeId: string;
  readonly title: string;
  readonly label: string;
}

export interface SetUpProps {
  readonly gathering: Gathering;
  readonly eaters: readonly Eater[];
  readonly rules: readonly RuleWords[];
  readonly versions: readonly KeptVersion[];
  readonly sweets: readonly GatheringSweetView[];
  readonly lost: readonly { readonly id: string; readonly why: string }[];
  /** Sun, moon and fasts of its day; null while the household has named no place. */
  readonly dayAt: DayAtPlace | null;
  readonly problems: readonly GatheringProblem[];
  readonly burners: number;
  readonly set: (part: Partial<Gathering>, key?: string) => void;
}
