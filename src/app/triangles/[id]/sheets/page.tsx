import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { Refusal } from "@/server/http/problems";
import { triangleSheets } from "@/server/taste/triangles";
import { TriangleSheets } from "@/ui/stations/taste/triangle-sheets";
import { sampleData } from "../../words";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const metadata: Metadata = { title: "Sheets of the test" };

export default async function Page({ params }: Props) {
  const { id } = await params;
  const { test, samples, servings } = await triangleSheets(id).catch((error: unknown) => {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  });
  return <TriangleSheets id={id} samples={samples.map(sampleData)} served={test.served} server={test.server.name} servings={servings} />;
}
