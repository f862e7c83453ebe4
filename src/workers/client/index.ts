export { createBrowserReader, type ReadingClient } from "./browser";
export { Cancelled } from "../worker-client";
export { kitchenOf } from "../../data/kitchen";
