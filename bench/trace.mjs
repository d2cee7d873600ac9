/**
 * Work of the browser's main thread for each key, from its keydown to the next commit to the
 * compositor, in milliseconds, read from a trace while `press` presses the keys.
 */
export async function workOfKeys(page, press) {
    const session = await page.context().newCDPSession(page);
    const events = [];
    session.on('Tracing.dataCollected', ({ value }) => events.push(...value));
    await session.send('Tracing.start', { traceConfig: { includedCategories: ['toplevel', 'devtools.timeline', 'disabled-by-default-devtools.timeline'] }, transferMode: 'ReportEvents' });
    await press();
    const finished = new Promise((resolve) => session.once('Tracing.tracingComplete', resolve));
    await session.send('Tracing.end');
    await finished;
    const downs = events.filter((event) => event.name === 'EventDispatch' && event.args?.data?.type === 'keydown');
    const own = events.filter((event) => event.tid === downs[0].tid && event.pid === downs[0].pid);
    const commits = own.filter((event) => event.name === 'Commit').sort((a, b) => a.ts - b.ts);
    const tasks = own.filter((event) => event.name === 'RunTask');
    return downs.sort((a, b) => a.ts - b.ts).map((down) => {
        const commit = commits.find((event) => event.ts >= down.ts);
        const end = commit ? commit.ts + (commit.dur ?? 0) : down.ts + down.dur;
        return tasks.reduce((sum, task) => sum + Math.max(0, Math.min(end, task.ts + (task.dur ?? 0)) - Math.max(down.ts, task.ts)), 0) / 1000;
    });
}

export const median = (numbers) => numbers.sort((a, b) => a - b)[Math.floor(numbers.length / 2)];
