import type { ReactNode } from "react";

const ASIDE = { narrow: "lg:grid-cols-[minmax(0,1fr)_348px]", wide: "lg:grid-cols-[minmax(0,1fr)_404px]" } as const;

interface PageColumnsProps {
  /** How wide what stands beside is. */
  readonly aside?: keyof typeof ASIDE;
  readonly className?: string;
  readonly children: ReactNode;
}

/** What a page is about, with what stands beside it; one under the other where there is no room. */
export const PageColumns = ({ aside = "narrow", className = "", children }: PageColumnsProps) => (
  <main id="main" className={`lg:min-h-[calc(100dvh-82px)] lg:grid ${ASIDE[aside]} ${className}`.trimEnd()}>
    {children}
  </main>
);
