import { keepPage, keptTitle } from "../../../kept";

export const generateMetadata = keptTitle("batches", "keep");
export default keepPage("batches");
