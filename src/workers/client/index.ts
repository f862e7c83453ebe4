export { Cancelled, createBrowserReader, type ReadingClient } from "./browser";
export { kitchenOf } from "../../data/kitchen";
