/** Why something could not be done; nothing where it could. */
export const Why = ({ why }: { readonly why: string | null }) =>
  why === null ? null : (
    <p role="alert" className="basis-full t-ledger text-rose">
      {why}
    </p>
  );
