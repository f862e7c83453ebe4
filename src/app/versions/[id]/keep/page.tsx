import { keepPage, keptTitle } from "../../../kept";

export const generateMetadata = keptTitle("versions", "keep");
export default keepPage("versions");
