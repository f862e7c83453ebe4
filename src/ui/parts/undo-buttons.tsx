import { Redo2, Undo2 } from "lucide-react";

export function UndoButtons({ undo, redo }: { readonly undo: (() => void) | null; readonly redo: (() => void) | null }) {
  const square = "w-11 h-11 grid place-items-center border border-edge hover:bg-pressed disabled:border-line disabled:text-edge";
  return (
    <span className="inline-flex gap-1 no-print">
      <button type="button" className={square} disabled={!undo} onClick={() => undo?.()} aria-label="Undo" title="Undo (Ctrl+Z)">
        <Undo2 size={18} aria-hidden />
      </button>
      <button type="button" className={square} disabled={!redo} onClick={() => redo?.()} aria-label="Redo" title="Redo (Ctrl+Shift+Z)">
        <Redo2 size={18} aria-hidden />
      </button>
    </span>
  );
}
