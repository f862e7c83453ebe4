import { cardPage, keptTitle } from "../../../kept";

export const generateMetadata = keptTitle("batches", "card");
export default cardPage("batches");
