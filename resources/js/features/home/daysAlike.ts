/** Days with the same things to do stand together: a week changes little, and paper is short. */
export function daysAlike<D extends { number: number; isOtherFoot: boolean }>(days: D[]): { numbers: number[]; day: D }[] {
  const groups: { numbers: number[]; day: D }[] = [];
  for (const day of days) {
    const alike = groups.find((one) => one.day.isOtherFoot === day.isOtherFoot);
    if (alike) alike.numbers.push(day.number);
    else groups.push({ numbers: [day.number], day });
  }
  return groups;
}
