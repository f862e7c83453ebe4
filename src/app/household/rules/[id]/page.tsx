import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { ownRule } from "@/server/kitchen/house-rules";
import { RulePage } from "@/ui/places/household/rule-page";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const metadata: Metadata = { title: "A rule of the house" };

export default async function Page({ params, searchParams }: Props) {
  const found = await ownRule((await params).id, [(await searchParams).from].flat()[0] ?? null);
  if (!found) notFound();
  return <RulePage key={found.given.id} {...found} />;
}
