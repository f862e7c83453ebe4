import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { Refusal } from "@/server/http/problems";
import { getTriangle } from "@/server/taste/triangles";
import { guestAllergies } from "@/server/taste/who-may";
import { TriangleStation } from "@/ui/stations/taste/triangle-station";
import { sampleData } from "../words";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const metadata: Metadata = { title: "Can anybody tell?" };

export default async function Page({ params }: Props) {
  const { id } = await params;
  const [{ test, samples, answered, open, over }, allergies] = await Promise.all([
    getTriangle(id).catch((error: unknown) => {
      if (error instanceof Refusal && error.status === 404) notFound();
      throw error;
    }),
    guestAllergies(),
  ]);
  return (
    <TriangleStation
      id={id}
      samples={samples.map(sampleData)}
      aim={test.aim}
      planned={test.planned}
      served={test.served}
      server={test.server.name}
      open={open}
      allergies={allergies}
      answered={answered.map(({ eaterId }) => eaterId)}
      over={
        over && {
          told: over.told,
          answers: over.answers.map(({ id: answer, place, name, code, isRight, saw }) => ({ id: answer, place, name, code, isRight, saw })),
        }
      }
    />
  );
}
