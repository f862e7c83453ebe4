"use client";

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type UniqueIdentifier,
} from "@dnd-kit/core";
import { arrayMove, SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { useId } from "react";
import type { Recipe, RecipeStep } from "../../../core/recipe";
import type { RecipeView } from "../../../core/views";
import { ledgerWords } from "./ledger-words";
import { StepRow } from "./step-row";

interface StepsEditorProps {
  readonly recipe: Recipe;
  readonly view: RecipeView;
  readonly onChange: (part: Partial<Recipe>, key?: string) => void;
}

const INSTRUCTIONS = { draggable: "To move the step, press space, then the arrows, then space again. Escape leaves it where it was." };

const freshStep = (component: string | undefined): RecipeStep => ({
  id: `s${crypto.randomUUID().slice(0, 8)}`,
  text: "",
  choice: {},
  ...(component === undefined ? {} : { component }),
});

/** The steps of a recipe, in order: written, read, moved, taken out. */
export function StepsEditor({ recipe, view, onChange }: StepsEditorProps) {
  const { steps, components = [] } = recipe;
  const describedBy = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const setSteps = (next: readonly RecipeStep[], key?: string) => onChange({ steps: next }, key);
  const addAfter = (index: number) => {
    const fresh = freshStep(steps[index]?.component);
    setSteps(steps.toSpliced(index + 1, 0, fresh));
    // Once it is there, go on writing in it.
    requestAnimationFrame(() => document.querySelector<HTMLTextAreaElement>(`[data-step="${fresh.id}"] textarea`)?.focus());
  };
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const place = (id: typeof active.id) => steps.findIndex((step) => step.id === id);
    setSteps(arrayMove([...steps], place(active.id), place(over.id)));
  };
  const placeOf = (id: UniqueIdentifier | undefined) => steps.findIndex((step) => step.id === id) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Step ${placeOf(active.id)} is picked up. Move it with the arrows, put it down with space, leave it with escape.`,
    onDragOver: ({ over }) => (over ? `Place ${placeOf(over.id)} of ${steps.length}.` : undefined),
    onDragEnd: ({ over }) => (over ? `Put down at place ${placeOf(over.id)} of ${steps.length}.` : "Put back."),
    onDragCancel: ({ active }) => `Step ${placeOf(active.id)} stays where it was.`,
  };
  const told = new Map(view.steps.map((step) => [step.id, step] as const));
  return (
    <>
      {view.problems.map((problem, i) => (
        <p key={i} role="status" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-2">
          {ledgerWords(problem)}
        </p>
      ))}
      <DndContext
        id={describedBy}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
        accessibility={{ announcements, screenReaderInstructions: INSTRUCTIONS }}
      >
        <SortableContext items={steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <ol className="border border-ink bg-sheet mt-2">
            {steps.map((step, i) => (
              <StepRow
                key={step.id}
                step={step}
                number={i + 1}
                count={steps.length}
                reading={(step.text.trim() !== "" && told.get(step.id)) || null}
                lines={view.lines}
                components={components}
                onStep={(part, key) =>
                  setSteps(
                    steps.map((each) => (each.id === step.id ? { ...each, ...part } : each)),
                    key,
                  )
                }
                onMove={(by) => setSteps(arrayMove([...steps], i, i + by))}
                onAddAfter={() => addAfter(i)}
                onRemove={() => setSteps(steps.filter(({ id }) => id !== step.id))}
              />
            ))}
            <li className="px-3 no-print">
              <button type="button" onClick={() => addAfter(steps.length - 1)} className="t-ledger min-h-11 w-full text-left hover:underline">
                + Add a step
              </button>
            </li>
          </ol>
        </SortableContext>
      </DndContext>
    </>
  );
}
