import type { RoutineDay } from '../../shared/api/homeQueries';

/** Days with the same things to do stand together: a week changes little, and paper is short. */
export function daysAlike(days: RoutineDay[]): { numbers: number[]; day: RoutineDay }[] {
  const groups: { numbers: number[]; day: RoutineDay }[] = [];
  for (const day of days) {
    const alike = groups.find((one) => one.day.isOtherFoot === day.isOtherFoot);
    if (alike) alike.numbers.push(day.number);
    else groups.push({ numbers: [day.number], day });
  }
  return groups;
}
