export {
  tableView,
  type RuleWords,
  type Serving,
  type TableQuestion,
  type TableView,
  type ToldFinding,
  type ToldMeeting,
  type ToldMistake,
  type ToldPortion,
  type ToldSweet,
} from "./table-view";
