import { openApi } from "@/server/adapt-schema";

export const dynamic = "force-dynamic";

export const GET = () => Response.json(openApi);
