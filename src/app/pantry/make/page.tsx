import type { Metadata } from "next";
import { isMakingKind } from "@/core/making";
import { MakerPage } from "@/ui/places/pantry/maker-page";

export const metadata: Metadata = { title: "Make it at home" };

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export default async function Page({ searchParams }: Props) {
  const { of, from } = await searchParams;
  const kind = [of].flat()[0];
  return <MakerPage kind={isMakingKind(kind) ? kind : "milk"} from={[from].flat()[0]?.slice(0, 100) ?? null} />;
}
