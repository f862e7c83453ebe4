"use client";

import { useState } from "react";
import { linesApart, type Recipe, type RecipeComponent, type RecipeLine } from "../../../core/recipe";
import { formatGrams } from "../../../core/units";
import type { NamedFood, RecipeView } from "../../../core/views";
import { AmountField } from "../../parts/amount-field";
import { LineRow } from "./line-row";

interface LinesEditorProps {
  readonly recipe: Recipe;
  readonly view: RecipeView;
  readonly onChange: (part: Partial<Recipe>, key?: string) => void;
  /** What a line that could not be read was answered with. */
  readonly onTaught: (description: string, food: NamedFood) => void;
}

const freshId = (kind: string) => `${kind}${crypto.randomUUID().slice(0, 8)}`;

/** The ingredient lines, by the parts that they belong to; parts are added, named, used and taken apart here. */
export function LinesEditor({ recipe, view, onChange, onTaught }: LinesEditorProps) {
  const components = recipe.components ?? [];
  const groups: readonly (RecipeComponent | null)[] = [...components, null];
  const known = new Set(components.map(({ id }) => id));
  const told = new Map(view.lines.map((line) => [line.id, line] as const));
  const setLine = (index: number, part: Partial<RecipeLine>, key?: string) =>
    onChange({ lines: recipe.lines.map((line, i) => (i === index ? { ...line, ...part } : line)) }, key);
  const add = (component: RecipeComponent | null) =>
    onChange({ lines: [...recipe.lines, { id: freshId("l"), text: "", choice: {}, ...(component ? { component: component.id } : {}) }] });
  const setPart = (id: string, part: Partial<RecipeComponent>, key?: string) =>
    onChange({ components: components.map((each) => (each.id === id ? { ...each, ...part } : each)) }, key);
  const removePart = (id: string) => {
    const without = <T extends { readonly component?: string }>(each: T): T => (each.component === id ? { ...each, component: undefined } : each);
    onChange({
      components: components.filter((each) => each.id !== id).map((each) => (each.into === id ? { ...each, into: undefined } : each)),
      lines: recipe.lines.map(without),
      steps: recipe.steps.map(without),
    });
  };
  const addPart = () => onChange({ components: [...components, { id: freshId("c"), name: `Part ${components.length + 1}`, use: { kind: "whole" } }] });
  return (
    <>
      <div className="hidden md:grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)_92px_112px_28px] gap-x-4 px-3 pb-1 t-small text-ink2">
        <span>As written</span>
        <span>Read as</span>
        <span className="text-right">Weighs</span>
        <span>Role</span>
        <span />
      </div>
      {groups.map((group) => (
        <div key={group?.id ?? "sweet"} className="mb-3">
          {components.length > 0 && (
            <GroupHead
              group={group}
              components={components}
              yields={view.parts.find(({ id }) => id === group?.id)?.yields ?? null}
              onPart={setPart}
              onRemove={removePart}
            />
          )}
          <ul
            className="bg-sheet border border-ink"
            aria-label={group ? `Lines of ${group.name}` : components.length > 0 ? "Lines of the sweet itself" : "Lines"}
          >
            {recipe.lines.map((line, i) => {
              const belongs = line.component !== undefined && known.has(line.component) ? line.component : undefined;
              if (belongs !== group?.id) return null;
              const reading = told.get(line.id) ?? null;
              return (
                <LineRow
                  key={line.id}
                  line={line}
                  reading={reading}
                  components={components}
                  onText={(text) => setLine(i, { text, choice: line.choice.role ? { role: line.choice.role } : {} }, `line ${line.id}`)}
                  onChoice={(choice) => setLine(i, { choice }, choice.grams === undefined ? undefined : `grams ${line.id}`)}
                  onFood={(food) => {
                    setLine(i, { choice: { ...line.choice, foodId: food.id } });
                    if (reading?.isNewName) onTaught(reading.description, food);
                  }}
                  onApart={(apart) =>
                    onChange({
                      lines: recipe.lines.toSpliced(i, 1, ...linesApart(line, apart).map((each, n) => (n === 0 ? each : { ...each, id: freshId("l") }))),
                    })
                  }
                  onPart={(component) => setLine(i, { component })}
                  onRemove={() => onChange({ lines: recipe.lines.filter((_, j) => j !== i) })}
                />
              );
            })}
            <li className="px-3">
              <button type="button" onClick={() => add(group)} className="t-ledger min-h-11 w-full text-left hover:underline">
                + Add a line{group ? ` to ${group.name.toLowerCase()}` : ""}
              </button>
            </li>
          </ul>
        </div>
      ))}
      {view.unlisted.map(({ step, words }) => (
        <p key={words} className="no-print bg-saffron-wash px-3 py-1.5 t-ledger mb-2 flex flex-wrap items-baseline gap-x-4">
          <span>
            Step {step} names “{words}”, which no line lists.
          </span>
          <button
            type="button"
            className="underline min-h-11 md:min-h-8"
            onClick={() => onChange({ lines: [...recipe.lines, { id: freshId("l"), text: words, choice: {} }] })}
          >
            Make it a line
          </button>
        </p>
      ))}
      <p className="no-print">
        <button type="button" className="underline t-small min-h-11 md:min-h-8" onClick={addPart}>
          + A part made on its own
        </button>{" "}
        <span className="t-small text-ink2">a syrup, a paste, a topping: used whole, in part, or served apart</span>
      </p>
    </>
  );
}

function GroupHead({
  group,
  components,
  yields,
  onPart,
  onRemove,
}: {
  readonly group: RecipeComponent | null;
  /** What all of it comes to, g; null where it has no steps of its own. */
  readonly yields: number | null;
  readonly components: readonly RecipeComponent[];
  readonly onPart: (id: string, part: Partial<RecipeComponent>, key?: string) => void;
  readonly onRemove: (id: string) => void;
}) {
  const field = "bg-sheet border border-edge px-2 min-h-11 md:min-h-9 t-ledger max-w-full";
  if (!group) return <h3 className="t-new pb-1">The sweet itself</h3>;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 pb-1">
      <PartName name={group.name} className={`${field} font-[550] w-44`} onName={(name) => onPart(group.id, { name }, `part ${group.id}`)} />
      <select
        aria-label={`How much of ${group.name} is used`}
        value={group.use.kind}
        onChange={(event) => {
          const kind = event.target.value;
          onPart(group.id, { use: kind === "part" ? { kind, share: 0.5 } : kind === "apart" ? { kind } : { kind: "whole" } });
        }}
        className={field}
      >
        <option value="whole">all of it is used</option>
        <option value="part">a part of it is used</option>
        <option value="apart">served apart</option>
      </select>
      {group.use.kind === "part" && (
        <AmountField
          label={`Share of ${group.name} that is used, per cent`}
          unit="%"
          value={Math.round(group.use.share * 100)}
          least={1}
          most={100}
          onChange={(percent) => onPart(group.id, { use: { kind: "part", share: percent / 100 } }, `share ${group.id}`)}
        />
      )}
      {components.length > 1 && (
        <select
          aria-label={`What ${group.name} goes into`}
          value={group.into ?? ""}
          onChange={(event) => onPart(group.id, { into: event.target.value || undefined })}
          className={field}
        >
          <option value="">in the sweet itself</option>
          {components
            .filter(({ id }) => id !== group.id)
            .map(({ id, name }) => (
              <option key={id} value={id}>
                in {name.toLowerCase()}
              </option>
            ))}
        </select>
      )}
      {yields !== null && <span className="t-small text-ink2">comes to {formatGrams(yields)} g</span>}
      <button type="button" className="underline t-small min-h-11 md:min-h-8" onClick={() => onRemove(group.id)}>
        No part of its own
      </button>
    </div>
  );
}

/** A part's name; while it is empty the last one is kept, and said so. */
function PartName({ name, className, onName }: { readonly name: string; readonly className: string; readonly onName: (name: string) => void }) {
  const [empty, setEmpty] = useState(false);
  return (
    <span>
      <input
        aria-label="Name of the part"
        value={empty ? "" : name}
        maxLength={100}
        aria-invalid={empty}
        placeholder={name}
        onChange={(event) => {
          const blank = event.target.value.trim() === "";
          setEmpty(blank);
          if (!blank) onName(event.target.value);
        }}
        onBlur={() => setEmpty(false)}
        className={className}
      />
      {empty && (
        <span role="alert" className="block t-small text-rose">
          Give it a name; the last one is kept until then.
        </span>
      )}
    </span>
  );
}

/** What there is of the writer's own cup, and the question whether to read by it. */
export function WritersCup({
  cup,
  told,
  ours,
  inUse,
  onUse,
}: {
  readonly cup: number;
  readonly told: readonly string[];
  readonly ours: number;
  readonly inUse: boolean;
  readonly onUse: (millilitres: number | null) => void;
}) {
  return (
    <p className="bg-saffron-wash px-3 py-2 t-ledger mb-3 flex flex-wrap gap-x-4 gap-y-1 items-baseline">
      <span>
        The writer’s cup holds about {formatGrams(cup)} ml ({told.join("; ")}); yours holds {formatGrams(ours)} ml.{" "}
        {inUse ? "This recipe is read by the writer’s." : "It is read by yours."}
      </span>
      <button type="button" className="underline min-h-8" onClick={() => onUse(inUse ? null : cup)}>
        {inUse ? "Read it by ours" : "Read it by the writer’s"}
      </button>
    </p>
  );
}
