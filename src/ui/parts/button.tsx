import type { ButtonHTMLAttributes } from "react";

type Kind = "primary" | "plain" | "quiet";
const KINDS: Readonly<Record<Kind, string>> = {
  primary: "bg-ink text-sheet px-5 py-3 font-[560] disabled:bg-edge min-h-11",
  plain: "border border-edge bg-transparent px-4 py-3 font-[540] hover:bg-pressed disabled:text-ink3 min-h-11",
  quiet: "underline underline-offset-3 decoration-1 px-1 py-1 hover:decoration-2 disabled:text-ink3 disabled:no-underline min-h-6",
};

export const buttonClass = (kind: Kind = "plain", more = ""): string =>
  `inline-flex items-center justify-center gap-2 text-[15px] leading-tight ${KINDS[kind]} ${more}`;

/** A button in the house's hand: no radius, no shadow, 44 px high where it is touched. */
export function Button({ kind = "plain", className = "", type = "button", ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { readonly kind?: Kind }) {
  return <button type={type} className={buttonClass(kind, className)} {...rest} />;
}
