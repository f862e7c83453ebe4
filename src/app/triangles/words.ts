import type { SampleName } from "@/server/taste/triangles";
import type { SampleData } from "@/ui/stations/taste/triangle-data";
import { dateWords } from "../words";

/** A sample of a test as its page names it. */
export const sampleData = ({ batch, title, label, begunAt }: SampleName): SampleData => ({ batch, title, label, made: dateWords(begunAt) });
