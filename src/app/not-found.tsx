import Link from "next/link";
import { PageHead } from "@/ui/shell/shell";

export default function NotFound() {
  return (
    <>
      <PageHead title="Not here" />
      <main id="main" className="p-4 md:p-5">
        <p>
          There is nothing at this address: it may have been deleted, or mistyped.{" "}
          <Link className="underline" href="/recipes">
            All recipes
          </Link>
        </p>
      </main>
    </>
  );
}
