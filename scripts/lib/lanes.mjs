/** Works through some tasks in order, so many at a time; answers what they gave, in the same order. */
export async function inLanes(lanes, tasks) {
  const results = new Array(tasks.length);
  let next = 0;
  const lane = async () => {
    while (next < tasks.length) {
      const at = next++;
      results[at] = await tasks[at]();
    }
  };
  await Promise.all(Array.from({ length: Math.min(lanes, tasks.length) }, lane));
  return results;
}
