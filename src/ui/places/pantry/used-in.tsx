"use client";

import { Go } from "../../shell/go";
import { useUses } from "./use-uses";

/** The recipes in which a food of one's own is read. */
export function UsedIn({ id }: { readonly id: string }) {
  const uses = useUses(id);
  return (
    <section aria-label="Used in">
      <h2 className="t-h2 mt-5">Used in</h2>
      <ul className="rule-t mt-1 t-ledger">
        {uses?.recipes.map(({ id: recipe, recipe: { title } }) => (
          <li key={recipe} className="border-b border-line">
            <Go href={`/recipes/${recipe}/recipe`} className="block py-1.5 hover:underline">
              {title}
            </Go>
          </li>
        ))}
        {uses?.benches.map(({ id: recipe, title }) => (
          <li key={`bench ${recipe}`} className="border-b border-line">
            <Go href={`/recipes/${recipe}/swap`} className="block py-1.5 hover:underline">
              {title}, on the bench
            </Go>
          </li>
        ))}
        {uses && uses.recipes.length + uses.benches.length === 0 && (
          <li className="py-1.5 text-ink2">No recipe yet. Name it in a line as it is called here, and it is found.</li>
        )}
      </ul>
    </section>
  );
}
