import type { Metadata } from "next";
import { Gathering } from "./shown";

export const metadata: Metadata = { title: "Timeline" };

export default async function Page({ params }: { readonly params: Promise<{ readonly id: string }> }) {
  return <Gathering id={(await params).id} show="timeline" />;
}
