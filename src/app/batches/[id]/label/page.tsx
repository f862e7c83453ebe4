import { labelPage, keptTitle } from "../../../kept";

export const generateMetadata = keptTitle("batches", "label");
export default labelPage("batches");
