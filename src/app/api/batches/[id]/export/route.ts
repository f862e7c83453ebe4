import { exportBatch } from "@/server/cook/export";
import { answer } from "@/server/http/answer";

interface Context {
  readonly params: Promise<{ readonly id: string }>;
}

export const GET = (request: Request, { params }: Context) =>
  answer(request, async () => exportBatch((await params).id, new URL(request.url).searchParams.get("format") ?? "json"));
