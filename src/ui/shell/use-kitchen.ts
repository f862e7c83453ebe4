"use client";

import type { Kitchen } from "../../core/kitchen";
import { kitchenOf } from "../../workers/client";
import { useSources } from "./use-sources";

/** What this household computes from: the shipped tables with its own foods, weighings, pan and rules laid over. */
export const useKitchen = (): Kitchen => kitchenOf(useSources());
