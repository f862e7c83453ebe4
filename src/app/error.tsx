"use client";

import { Button } from "@/ui/parts/button";
import { PageHead } from "@/ui/shell/shell";

export default function ErrorPage({ reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <>
      <PageHead title="Something went wrong here" />
      <main id="main" className="p-4 md:p-5">
        <p>The page could not be shown. What was saved is safe.</p>
        <Button className="mt-4" onClick={reset}>
          Try again
        </Button>
      </main>
    </>
  );
}
