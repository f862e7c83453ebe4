import { Go } from "../../shell/go";

/** Where one goes from the steps when it went wrong. */
export const FromHere = ({ id }: { readonly id: string }) => (
  <p className="mt-3 no-print">
    <Go className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8" href={`/recipes/${id}/rescue`}>
      It went wrong in the pot: what mends it
    </Go>
  </p>
);
