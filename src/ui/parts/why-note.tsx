/** Why something is not taken, said at once to who cannot see it; nothing where nothing is wrong. */
export const WhyNote = ({ why }: { readonly why: string | null }) =>
  why === null ? null : (
    <p role="alert" className="mt-3 bg-rose-wash text-rose px-3 py-2">
      {why}
    </p>
  );
