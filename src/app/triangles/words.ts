import type { Sample } from "@/server/taste/who-may";
import type { SampleData } from "@/ui/stations/taste/triangle-data";
import { dateWords } from "../words";

/** A sample of a test as its page names it. */
export const sampleData = ({ batch }: Sample): SampleData => ({ batch: batch.id, title: batch.title, label: batch.label, made: dateWords(batch.begunAt) });
