import { existsSync } from "node:fs";
import { expect, it } from "vitest";
import { STATIONS } from "./stations";

it.each(STATIONS.map(({ id }) => id))("the station %s has a page", (id) => expect(existsSync(`src/app/recipes/[id]/${id}/page.tsx`)).toBe(true));
