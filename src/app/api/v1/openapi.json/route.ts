import { openApi } from "@/server/http/schemas/adapt";

export const dynamic = "force-dynamic";

export const GET = () => Response.json(openApi);
