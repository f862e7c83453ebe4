import { openApi } from "@/server/http/schemas/openapi";

export const dynamic = "force-dynamic";

export const GET = () => Response.json(openApi);
