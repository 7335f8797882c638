/** When each task is next due, and why. Read ForecastOperations first. */
@org.jspecify.annotations.NullMarked
package app.chervil.server.interval;
