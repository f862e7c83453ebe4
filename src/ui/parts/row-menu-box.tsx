"use client";

import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { useEffect, useRef, type ReactNode } from "react";

export interface MenuAction {
  readonly label: string;
  readonly run: () => void;
  /** Something that takes away: shown in rose, last. */
  readonly takesAway?: boolean;
}

export interface RowMenuProps {
  readonly label: string;
  readonly actions: readonly MenuAction[];
}

interface RowMenuBoxProps extends RowMenuProps {
  readonly className: string;
  /** What stands on its button. */
  readonly children: ReactNode;
}

/** The menu itself, open as it comes. */
export function RowMenuBox({ label, actions, className, children }: RowMenuBoxProps) {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => button.current?.click(), []);
  return (
    <Menu as="div" className="relative">
      <MenuButton ref={button} aria-label={label} className={className}>
        {children}
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
