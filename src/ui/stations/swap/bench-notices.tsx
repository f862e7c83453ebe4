interface BenchNoticesProps {
  /** Why its figures are of before; null where they are not. */
  readonly why: string | null;
  /** Lines that are not read. */
  readonly unread: number;
  /** Rows whose food is gone from the pantry. */
  readonly gone: number;
}

/** What stands over everything else on the bench: what could not be computed, is not read, or is gone. */
export const BenchNotices = ({ why, unread, gone }: BenchNoticesProps) => (
  <>
    {why !== null && (
      <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mb-3">
        This could not be computed, and its figures are as they were before: {why}
      </p>
    )}
    {unread > 0 && (
      <p className="bg-saffron-wash px-3 py-2 t-ledger mb-3">
        {unread} {unread === 1 ? "line of the recipe is" : "lines of the recipe are"} not read yet and not in any version. Whether they fit this table is not
        known: answer them at the Recipe station.
      </p>
    )}
    {gone > 0 && (
      <p className="bg-saffron-wash px-3 py-2 t-ledger mb-3">
        The version that lay here uses {gone === 1 ? "a food that is" : `${gone} foods that are`} no longer in the pantry. It is laid aside: put the food back,
        or take up another version and it goes.
      </p>
    )}
  </>
);
