"use client";

import Link, { useLinkStatus } from "next/link";
import { useRouter } from "next/navigation";
import type { ComponentProps } from "react";
import { useSaving } from "./saving";

/** A link that waits until what was typed is saved, so that the next page shows it. */
export function Go({ href, children, ...rest }: Omit<ComponentProps<typeof Link>, "href" | "onNavigate"> & { readonly href: string }) {
  const router = useRouter();
  const { flush, waiting } = useSaving();
  return (
    <Link
      href={href}
      // Pages are made anew on each request, by a server on this machine: nothing is gained by asking for them before.
      prefetch={false}
      onNavigate={(event) => {
        if (!waiting()) return;
        event.preventDefault();
        void flush().then(() => router.push(href));
      }}
      {...rest}
    >
      {children}
    </Link>
  );
}

/** Inside a link: a running stitch while its page is on the way, seen only where that takes a moment. */
export function OnTheWay() {
  const { pending } = useLinkStatus();
  return <span aria-hidden="true" className={`on-the-way ${pending ? "is-pending" : ""}`} />;
}
