/**
 * Puts names on the places of a table made for as many people: whoever was together stays together as far as the places allow. The same
 * rule as core/src/Run/Seating.php, on golden cases.
 */
export function seating(before: number[][], places: number[][], present: number[]): Record<number, number> {
  const seated: Record<number, number> = {};
  const open = places.map((place) => [...place]);
  const isOpen = places.map(() => true);
  const there = before.map((group) => group.filter((player) => present.includes(player))).filter((group) => group.length > 0);
  // First those whose group is as large as a new one.
  const left = there.filter((group) => {
    const at = places.findIndex((place, i) => isOpen[i] === true && place.length === group.length);
    if (at < 0) return true;
    places[at]?.forEach((place, i) => (seated[place] = group[i] ?? 0));
    isOpen[at] = false;
    open[at] = [];
    return false;
  });
  // Then the larger before the smaller, each where the least room is left over.
  const pool: number[] = [];
  for (const group of left.sort((a, b) => b.length - a.length)) {
    const room = open.filter((free, i) => isOpen[i] === true && free.length >= group.length).sort((a, b) => a.length - b.length)[0];
    if (room) for (const player of group) seated[room.shift() ?? 0] = player;
    else pool.push(...group);
  }
  // Whoever is left, and then who is new.
  const known = before.flat();
  pool.push(...present.filter((player) => !known.includes(player)));
  open.flat().forEach((place, i) => (seated[place] = pool[i] ?? 0));
  return seated;
}
