/**
 * Learns from what was found when a task is next due. Read {@link app.chervil.core.interval.Course} first: it replays
 * the history of one task and answers with a {@link app.chervil.core.interval.Forecast}. Method and figures:
 * docs/sources.md#interval-engine.
 */
package app.chervil.core.interval;
