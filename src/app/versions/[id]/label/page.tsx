import { labelPage, keptTitle } from "../../../kept";

export const generateMetadata = keptTitle("versions", "label");
export default labelPage("versions");
