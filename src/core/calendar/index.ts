export { addMonths, isoDay } from "./days";
export { addDays, checkedPlace, clockTime, dayOf, daysBetween, dayWords, momentAt, startOfDay } from "./place";
export { riseOrSet } from "./sun-moon";
export { lunarDayAt, lunarDaySpan } from "./lunar-day";
export { fastingDays, hourBreaks, type DayAtPlace, type FastAhead, type FastingDay } from "./fasting-days";
