"use client";

import { buttonClass } from "./button";

export const PrintButton = () => (
  <button type="button" className={buttonClass("plain", "no-print")} onClick={() => window.print()}>
    Print
  </button>
);
