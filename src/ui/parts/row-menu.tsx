"use client";

import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { Chevron } from "./marks";

export interface MenuAction {
  readonly label: string;
  readonly run: () => void;
  /** Something that takes away: shown in rose, last. */
  readonly takesAway?: boolean;
}

/** What else can be done with a row, behind one button. */
export function RowMenu({ label, actions }: { readonly label: string; readonly actions: readonly MenuAction[] }) {
  return (
    <Menu as="div" className="relative">
      <MenuButton aria-label={label} className="inline-flex items-center gap-1.5 min-h-11 px-2 text-ink2 hover:bg-pressed data-open:bg-pressed">
        More <Chevron open={false} />
      </MenuButton>
      <MenuItems modal={false} className="absolute right-0 top-full z-20 min-w-52 bg-sheet border border-ink focus:outline-none">
        {actions.map((action) => (
          <MenuItem key={action.label}>
            <button
              type="button"
              onClick={action.run}
              className={`block w-full text-left px-4 min-h-11 t-ledger border-b border-line last:border-b-0 data-focus:bg-pressed ${action.takesAway ? "text-rose" : ""}`}
            >
              {action.label}
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
